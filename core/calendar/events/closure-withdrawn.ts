import { defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { calendar } from '../stream'

/** It is open then after all, or the person there. */
export const closureWithdrawn = defineEvent(
  calendar,
  'closure-withdrawn',
  (state, { closureId }: { closureId: string }) =>
    changed(state, { closures: state.closures.filter(({ id }) => id !== closureId) }),
)
