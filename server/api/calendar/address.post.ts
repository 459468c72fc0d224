import { makeAddress } from '../../services/calendar-addresses'
import { asking } from '../../services/session'

/** A new address for calendar programs; the one before leads nowhere from now on. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const path = await makeAddress(room, person.id)
  room.log.note({ kind: 'calendar address made', person: person.id, by: person.id })
  return { path }
})
