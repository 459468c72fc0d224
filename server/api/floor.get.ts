import { readFloor } from '../services/floor'
import { asking, viewerOf } from '../services/session'

export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  return await readFloor(room, viewerOf(person), Date.now())
})
