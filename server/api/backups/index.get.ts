import { staffAsking } from '../../services/session'

/** The backups there are. */
export default defineEventHandler(async (event) => await (await staffAsking(event)).room.backups.reply())
