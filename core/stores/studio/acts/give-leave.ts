import { Words } from '../../../ground/shape'
import { defineAct } from '../../../ground/act'
import { refuse } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { leaveGiven } from '../events/leave-given'
import { LeaveFor, leaveOf } from '../leaves'
import { studio } from '../stream'

class NewLeave extends LeaveFor {
  static readonly sample: NewLeave = { personId: 'p', use: 'press', pressId: 'p', note: 'hands clear of the nip' }

  @Words(300) note!: string
}

/** Staff have shown a person a press, or how solvents are used here, and let them from now on. */
export const giveLeave = defineAct(studio, 'give-leave', NewLeave, staff, {
  events: [leaveGiven],
  rule: ({ studio }, data, { commandId }) => {
    if (!studio.people[data.personId]?.active)
      return refuse('unknown-person', 'That person is not in the pressroom any more. Reload the page.', 'personId')
    if ((data.use === 'press') !== (data.pressId !== null))
      return refuse('unknown-press', 'Say which press it is for.', 'pressId')
    return leaveOf(studio, data)
      ? refuse('has-leave', 'That leave is given already.', 'personId')
      : [leaveGiven.on(studio, { leaveId: commandId, ...data })]
  },
})
