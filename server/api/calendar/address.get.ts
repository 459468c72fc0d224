import { addressOf } from '../../services/calendar-addresses'
import { asking } from '../../services/session'

/** Where a calendar program reads the asker's bookings; null while no address was made. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  return { path: await addressOf(room, person.id) }
})
