import { IsBoolean, IsIn } from 'class-validator'
import { defineAct, defineEvent } from '../../../ground/act'
import { type Role, roles } from '../../../ground/envelope'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { Id } from '../../../ground/shape'
import { managers } from '../../../ground/who'
import type { StudioState } from '../state'
import { studio } from '../stream'

class Changed {
  static readonly sample: Changed = { personId: 'p', role: 'instructor', active: true }

  @Id('person') personId!: string
  @IsIn(roles) role!: Role
  @IsBoolean() active!: boolean
}

const personChanged = defineEvent(studio, 'person-changed', (state, { personId, role, active }: Changed) =>
  changed(state, { people: { ...state.people, [personId]: { role, active } } }),
)

function isLastManager(state: StudioState, personId: string): boolean {
  const managing = Object.entries(state.people).filter(([, person]) => person.role === 'manager' && person.active)
  return managing.length === 1 && managing[0]![0] === personId
}

/** A person's role changes, or they leave or come back. No browser sends this, as with adding one. */
export const changePerson = defineAct(studio, 'change-person', Changed, managers, {
  events: [personChanged],
  rule: ({ studio }, data) => {
    if (!studio.people[data.personId]) return refuse('unknown-person', 'That person is not in the studio.')
    if (isLastManager(studio, data.personId) && (data.role !== 'manager' || !data.active))
      return refuse('last-manager', 'This is the only manager. Make someone else a manager first.')
    return [personChanged.on(studio, data)]
  },
})
