import { asking } from '../services/session'

/** What was tried against which fault in this room, and how often it worked. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return { trials: room.passBook.recordFor('').trials }
})
