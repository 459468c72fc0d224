import { Id } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { anyone, isStaff } from '../../ground/who'
import { closureWithdrawn } from '../events/closure-withdrawn'
import { calendar } from '../stream'

class Withdrawn {
  static readonly sample: Withdrawn = { closureId: 'c' }

  @Id('closure', 100) closureId!: string
}

/** The room is open then after all, or the person there. */
export const withdrawClosure = defineAct(calendar, 'withdraw-closure', Withdrawn, anyone, {
  events: [closureWithdrawn],
  rule: ({ calendar }, data, { role, personId }) => {
    const closure = calendar.closures.find(({ id }) => id === data.closureId)
    if (!closure) return refuse('unknown-closure', 'That is withdrawn already.')
    if (!isStaff(role) && closure.personId !== personId)
      return refuse('not-theirs', 'Staff open the room again; others say it of their own days.')
    return [closureWithdrawn.on(calendar, data)]
  },
})
