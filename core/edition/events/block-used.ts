import { defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import type { BlockBook } from '../../stores/block/book'
import { edition } from '../stream'

interface Used extends BlockBook {
  blockId: string
}

/** The edition keeps what is known of the block, so that it folds by itself. */
export const blockUsed = defineEvent(edition, 'block-used', (state, { blockId, ...book }: Used) =>
  changed(state, { blocks: appended(state.blocks, { id: blockId, ...book }) }),
)
