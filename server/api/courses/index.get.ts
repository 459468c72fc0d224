import { readCourses } from '../../services/courses'
import { asking } from '../../services/session'

/** The classes of the room: to staff all of them, to others those they come to. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  return await readCourses(room, person)
})
