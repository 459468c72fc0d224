import { reading } from '../services/reading'
import { readTimetable } from '../services/timetable'

/** What is still to be done for every edition of the room, with what it needs. */
export default defineEventHandler((event) => reading(event, (room) => readTimetable(room, Date.now())))
