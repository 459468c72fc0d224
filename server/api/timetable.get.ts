import { readTimetable } from '../services/timetable'
import { asking } from '../services/session'

/** What is still to be done for every edition of the room, with what it needs. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return await readTimetable(room, Date.now())
})
