import { defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { block } from '../stream'

/** It is put away. */
export const blockKept = defineEvent(block, 'block-kept', (state, { where }: { where: string }, event) =>
  changed(state, { kept: { where, at: event.occurredAt } }),
)
