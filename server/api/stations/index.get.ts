import { readStations } from '../../services/stations'
import { asking } from '../../services/session'

/** Every station of the room at which anything was done, presses under their own names. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return { stations: await readStations(room) }
})
