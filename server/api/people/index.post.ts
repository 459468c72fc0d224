import { AddPerson } from '#shared/commands/people'
import { failure } from '../../services/failure'
import { asking, readChecked } from '../../services/request'

export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const given = await readChecked(event, AddPerson)
  const result = await room.people.add(given.name, given.role, given.secret, person)
  if ('refusal' in result) throw failure(result.refusal)
  return { people: room.people.all() }
})
