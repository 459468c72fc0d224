import { staffAsking } from '../../services/session'

/** Begin to look through the whole ledger: that no event was changed, moved or taken away. */
export default defineEventHandler(async (event) => (await staffAsking(event)).room.check.start())
