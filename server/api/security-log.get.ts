import type { SecurityReply } from '#shared/replies/replies'
import { SecurityQuery } from '#shared/queries/lists'
import { queryChecked } from '../services/request'
import { staffAsking } from '../services/session'

/** Who came, who was turned away, what changed about people, newest first. */
export default defineEventHandler(async (event): Promise<SecurityReply> => {
  const { room } = await staffAsking(event)
  const { before } = queryChecked(event, SecurityQuery)
  return { lines: await room.log.newest(50, before ?? null) }
})
