import type { StudioState } from '#core/stores/studio/state'
import { asking } from '../services/session'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const { pastEditions } = await room.ledger.read<StudioState>('studio')
  return { pastEditions }
})
