import { defineAct, defineEvent } from '../../../ground/act'
import type { Role } from '../../../ground/envelope'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { managers } from '../../../ground/who'
import { studio } from '../stream'

interface Added {
  personId: string
  role: Role
}

const personAdded = defineEvent(studio, 'person-added', (state, { personId, role }: Added) =>
  changed(state, { people: { ...state.people, [personId]: { role, active: true } } }),
)

/** A person joins the room. No browser sends this: names and secrets go by a route of their own. */
export const addPerson = defineAct(studio, 'add-person', managers, {
  events: [personAdded],
  rule: ({ studio }, data: Added) =>
    studio.people[data.personId]
      ? refuse('already-there', 'This person is in the studio already.')
      : [personAdded.on(studio, data)],
})
