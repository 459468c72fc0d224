import { defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { tub } from '../stream'

/** Ink went out of the tub into a batch. */
export const inkTaken = defineEvent(
  tub,
  'ink-taken',
  (state, { milligrams }: { milligrams: number; batchStream: string }) =>
    changed(state, { left: state.left - milligrams }),
)
