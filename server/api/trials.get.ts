import type { StudioState } from '#core/stores/studio/state'
import type { TrialsReply } from '#shared/replies/replies'
import { asking } from '../services/session'

/** What was tried against which fault in this room and how often it worked, and what the room says of each fault. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const { faultLines, seq } = await room.ledger.read<StudioState>('studio')
  return { trials: room.passBook.recordFor('').trials, faultLines, seq } satisfies TrialsReply
})
