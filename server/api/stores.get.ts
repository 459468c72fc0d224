import { readStores } from '../services/editions'
import { asking } from '../services/session'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return await readStores(room)
})
