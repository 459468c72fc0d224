import { definePlainAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { reasonMissing, refuse } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { studio } from '../stream'

interface Withdrawn {
  leaveId: string
  reason: string
}

const leaveWithdrawn = defineEvent(studio, 'leave-withdrawn', (state, { leaveId }: Withdrawn) =>
  changed(state, { leaves: state.leaves.filter(({ id }) => id !== leaveId) }),
)

/** A leave is taken back: somebody has to be shown again. */
export const withdrawLeave = definePlainAct(studio, 'withdraw-leave', staff, {
  events: [leaveWithdrawn],
  rule: ({ studio }, data: Withdrawn) => {
    if (!studio.leaves.some(({ id }) => id === data.leaveId))
      return refuse('unknown-leave', 'That leave is not given any more. Reload the page.', 'leaveId')
    return data.reason.trim() === ''
      ? reasonMissing('Say why the leave is taken back.')
      : [leaveWithdrawn.on(studio, data)]
  },
})
