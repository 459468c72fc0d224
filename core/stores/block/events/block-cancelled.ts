import { defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { block } from '../stream'

interface Cancelled {
  reason: string
}

/** It was scored: no more is printed from it. */
export const blockCancelled = defineEvent(block, 'block-cancelled', (state, { reason }: Cancelled, event) =>
  changed(state, { cancelled: { reason, at: event.occurredAt } }),
)
