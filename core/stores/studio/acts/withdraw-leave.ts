import { Id, Words } from '../../../ground/shape'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { reasonMissing, refuse } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { studio } from '../stream'

class Withdrawn {
  static readonly sample: Withdrawn = { leaveId: 'e', reason: 'left the screws wound down' }

  @Id('leave') leaveId!: string
  @Words(500) reason!: string
}

const leaveWithdrawn = defineEvent(studio, 'leave-withdrawn', (state, { leaveId }: Withdrawn) =>
  changed(state, { leaves: state.leaves.filter(({ id }) => id !== leaveId) }),
)

/** A leave is taken back: somebody has to be shown again. */
export const withdrawLeave = defineAct(studio, 'withdraw-leave', Withdrawn, staff, {
  events: [leaveWithdrawn],
  rule: ({ studio }, data) => {
    if (!studio.leaves.some(({ id }) => id === data.leaveId))
      return refuse('unknown-leave', 'That leave is not given any more. Reload the page.', 'leaveId')
    return data.reason.trim() === ''
      ? reasonMissing('Say why the leave is taken back.')
      : [leaveWithdrawn.on(studio, data)]
  },
})
