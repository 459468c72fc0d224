import { IsIn } from 'class-validator'
import { defineEvent } from '../../../ground/act'
import { type Role, roles } from '../../../ground/envelope'
import { Id } from '../../../ground/shape'
import { changed } from '../../../ground/fold'
import { studio } from '../stream'

export class Added {
  static readonly sample: Added = { personId: 'p', role: 'member' }

  @Id('person') personId!: string
  @IsIn(roles) role!: Role
}

/** Someone belongs to the room. */
export const personAdded = defineEvent(studio, 'person-added', (state, { personId, role }: Added) =>
  changed(state, { people: { ...state.people, [personId]: { role, active: true } } }),
)
