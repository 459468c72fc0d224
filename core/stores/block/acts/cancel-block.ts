import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { reasonMissing, refuse } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { block } from '../stream'

interface Cancelled {
  reason: string
}

const blockCancelled = defineEvent(block, 'block-cancelled', (state, { reason }: Cancelled, event) =>
  changed(state, { cancelled: { reason, at: event.occurredAt } }),
)

/** A block is scored, so that no more than the edition can ever be printed from it. It is not undone. */
export const cancelBlock = defineAct(block, 'cancel-block', printers, {
  guarded: true,
  events: [blockCancelled],
  rule: ({ block }, { reason }: Cancelled) => {
    if (block.cancelled) return refuse('cancelled', 'This block is cancelled already.')
    return reason.trim() === ''
      ? reasonMissing('Say how and why it is cancelled, for instance “scored across, edition complete”.')
      : [blockCancelled.on(block, { reason: reason.trim() })]
  },
})
