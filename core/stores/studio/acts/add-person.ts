import { defineAct } from '../../../ground/act'
import { refuse } from '../../../ground/refusal'
import { managers } from '../../../ground/who'
import { Added, personAdded } from '../events/person-added'
import { studio } from '../stream'

/** A person joins the room. No browser sends this: names and secrets go by a route of their own. */
export const addPerson = defineAct(studio, 'add-person', Added, managers, {
  events: [personAdded],
  rule: ({ studio }, data) =>
    studio.people[data.personId]
      ? refuse('already-there', 'This person is in the studio already.')
      : [personAdded.on(studio, data)],
})
