import { failure } from '../../services/failure'
import { asking } from '../../services/session'

/** End a sign-in: one's own anywhere, or as staff anyone's but a manager's. */
export default defineEventHandler(async (event) => {
  const { room, person, signIn } = await asking(event)
  const id = getRouterParam(event, 'id') ?? ''
  const found = room.signIns.list(signIn).find((one) => one.id === id)
  const whose = found && room.people.get(found.personId)
  if (!found || !whose)
    throw failure({ code: 'unknown-sign-in', message: 'That sign-in has ended already. Reload the page.' })
  const may =
    whose.id === person.id || person.role === 'manager' || (person.role === 'instructor' && whose.role !== 'manager')
  if (!may) throw failure({ code: 'not-allowed', message: `Ask the manager to end the sign-in of ${whose.name}.` })
  await room.signIns.end(id)
  room.log.note({ kind: 'sign-in ended', person: whose.id, by: person.id, device: signIn.device })
  return { signIns: room.signIns.list(signIn) }
})
