import { drawnWords } from '#core/station/drawn'
import type { StationState } from '#core/station/state'
import { drawsOf } from '../database/over-events'
import type { Pressroom } from './pressroom'

/** What the person of the open session drew since it was opened, by their own events in the ledger. */
export async function drawnSoFar(room: Pressroom, { open }: StationState): Promise<string[]> {
  if (!open) return []
  const draws = await drawsOf(room.db.reader, open.by, open.position)
  const titles = new Map(draws.map(({ stream, title }) => [stream, title]))
  return drawnWords(draws, (stream) => titles.get(stream) || 'something that is named no more')
}
