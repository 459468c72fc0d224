import { staffAsking } from '../../services/session'

/** How far the check of the ledger has come, and what it found. */
export default defineEventHandler(async (event) => (await staffAsking(event)).room.check.state)
