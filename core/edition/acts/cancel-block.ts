import { Words } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import { printers } from '../../ground/who'
import { blockCancelled } from '../../stores/block/events/block-cancelled'
import { block } from '../../stores/block/stream'
import { madeFor, notTheirBlock } from '../whose-block'

class Cancelled {
  static readonly sample: Cancelled = { reason: 'scored across' }

  @Words(500) reason!: string
}

/** The owners of a block score it, so that nothing more can be printed from it. This cannot be undone. */
export const cancelBlock = defineAct(block, 'cancel-block', Cancelled, printers, {
  guarded: true,
  leadsTo: ({ block }) => ({ owners: madeFor([block]) }),
  events: [blockCancelled],
  rule: ({ block, owners }, { reason }, context) => {
    const anothers = notTheirBlock(owners, context)
    if (anothers) return anothers
    if (block.cancelled) return refuse('cancelled', 'This block is cancelled already.')
    return reason.trim() === ''
      ? reasonMissing('Say how and why it is cancelled, for instance “scored across, edition complete”.')
      : [blockCancelled.on(block, { reason: reason.trim() })]
  },
})
