import { defineAct } from '../../../ground/act'
import { reasonMissing, refuse } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { blockCancelled } from '../events/block-cancelled'
import { block } from '../stream'

interface Cancelled {
  reason: string
}

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
