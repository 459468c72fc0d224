import { AddPerson } from '#shared/commands/people'
import { failure } from '../../services/failure'
import { readChecked } from '../../services/request'
import { managerAsking } from '../../services/session'

export default defineEventHandler(async (event) => {
  const { room, person } = await managerAsking(event)
  const given = await readChecked(event, AddPerson)
  const result = await room.people.add(given.name, given.role, given.secret, person)
  if ('refusal' in result) throw failure(result.refusal)
  room.log.note({ kind: 'person added', person: result.person.id, by: person.id, detail: given.role })
  return { people: room.people.all() }
})
