import { firstBreak } from '../database/events'
import { asking } from '../services/request'

/** Reads the whole ledger and proves that no event was changed, moved or taken away. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return { events: room.ledger.head, broken: await firstBreak(room.db.long) }
})
