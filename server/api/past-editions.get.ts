import type { StudioState } from '#core/stores/studio'
import { asking } from '../services/request'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const { pastEditions } = await room.ledger.read<StudioState>('studio')
  return { pastEditions }
})
