import { readRacks } from '../services/racks'
import { reading } from '../services/reading'

/** The racks of the room and what dries in them. */
export default defineEventHandler((event) => reading(event, (room) => readRacks(room)))
