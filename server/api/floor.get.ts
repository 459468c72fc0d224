import { readFloor } from '../services/floor'
import { asking } from '../services/session'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return await readFloor(room, Date.now())
})
