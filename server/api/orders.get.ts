import { readOrders } from '../services/orders'
import { reading } from '../services/reading'
import { staffAsking } from '../services/session'

/** What is to be ordered, with what it is wanted for. */
export default defineEventHandler((event) =>
  reading(event, async (room) => ({ lines: await readOrders(room, Date.now()) }), { admit: staffAsking }),
)
