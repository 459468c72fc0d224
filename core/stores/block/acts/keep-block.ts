import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { block } from '../stream'

interface Kept {
  where: string
}

const blockKept = defineEvent(block, 'block-kept', (state, { where }: Kept, event) =>
  changed(state, { kept: { where, at: event.occurredAt } }),
)

/** A block that is done with is put away, to be printed from again. */
export const keepBlock = defineAct(block, 'keep-block', printers, {
  events: [blockKept],
  rule: ({ block }, { where }: Kept) => {
    if (block.cancelled) return refuse('cancelled', 'This block is cancelled: no more is printed from it.')
    return where.trim() === ''
      ? refuse('where-missing', 'Say where it is kept, so that it can be found again.', 'where')
      : [blockKept.on(block, { where: where.trim() })]
  },
})
