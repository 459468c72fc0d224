import { ChangePerson } from '#shared/commands/people'
import { failure } from '../../../services/failure'
import { readChecked } from '../../../services/request'
import { managerAsking } from '../../../services/session'

export default defineEventHandler(async (event) => {
  const { room, person } = await managerAsking(event)
  const id = getRouterParam(event, 'id') ?? ''
  const given = await readChecked(event, ChangePerson)
  const result = await room.people.change(id, given, person)
  if ('refusal' in result) throw failure(result.refusal)
  room.log.note({
    kind: 'person changed',
    person: id,
    by: person.id,
    detail: `${given.role}${given.active ? '' : ', has left'}`,
  })
  return { people: room.people.all() }
})
