import { readOrders } from '../services/orders'
import { staffAsking } from '../services/session'

/** What is to be ordered, with what it is wanted for. */
export default defineEventHandler(async (event) => {
  const { room } = await staffAsking(event)
  return { lines: await readOrders(room, Date.now()) }
})
