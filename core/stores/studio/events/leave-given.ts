import { defineEvent } from '../../../ground/act'
import { doerOf, whenOf } from '../../../ground/envelope'
import { changed } from '../../../ground/fold'
import type { LeaveFor } from '../leaves'
import { studio } from '../stream'

/** A person may use a press, or solvents, from now on. */
export const leaveGiven = defineEvent(
  studio,
  'leave-given',
  (state, data: LeaveFor & { leaveId: string; note: string }, event) => {
    const { leaveId, ...leave } = data
    return changed(state, {
      leaves: [...state.leaves, { id: leaveId, ...leave, ...whenOf(event), ...doerOf(event) }],
    })
  },
)
