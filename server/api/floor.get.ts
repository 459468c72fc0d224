import { readFloor } from '../services/floor'
import { reading } from '../services/reading'
import { viewerOf } from '../services/viewer'

/** What is happening in the room now, and what waits for a person. */
export default defineEventHandler((event) =>
  reading(event, (room, { person }) => readFloor(room, viewerOf(person), Date.now())),
)
