import { defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import type { BlockBook } from '../book'
import { block } from '../stream'

interface Written extends BlockBook {
  /** The edition it is in hand for. */
  editionStream: string
}

/** What is known of a block now, all of it: a block of an old ledger is written down whole when it is next touched. */
export const blockWritten = defineEvent(block, 'block-written', (state, { editionStream, ...book }: Written) =>
  changed(state, {
    book,
    editions: state.editions.includes(editionStream) ? state.editions : appended(state.editions, editionStream),
  }),
)
