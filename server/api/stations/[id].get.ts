import { readStation } from '../../services/stations'
import { asking } from '../../services/session'

/** One station of the room: who is there, what was used so far, how it was found and left before. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return await readStation(room, getRouterParam(event, 'id') ?? '')
})
