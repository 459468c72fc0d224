import { defineEvent } from '../../../ground/act'
import type { Role } from '../../../ground/envelope'
import { changed } from '../../../ground/fold'
import { studio } from '../stream'

export interface Added {
  personId: string
  role: Role
}

/** Someone belongs to the room. */
export const personAdded = defineEvent(studio, 'person-added', (state, { personId, role }: Added) =>
  changed(state, { people: { ...state.people, [personId]: { role, active: true } } }),
)
