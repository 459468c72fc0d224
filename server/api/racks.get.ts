import { readRacks } from '../services/racks'
import { asking } from '../services/session'

/** The racks of the room and what dries in them. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return await readRacks(room)
})
