import { readCourses } from '../../services/courses'
import { reading } from '../../services/reading'

/** The classes of the room: to staff all of them, to others those they come to. */
export default defineEventHandler((event) => reading(event, (room, { person }) => readCourses(room, person)))
