import { drawnWords } from '#core/station/drawn'
import type { StationState } from '#core/station/state'
import { rows } from '../database/connections'
import type { Pressroom } from './pressroom'

/** What the person of the open session drew since it was opened, by their own events in the ledger. */
export async function drawnSoFar(room: Pressroom, { open }: StationState): Promise<string[]> {
  if (!open) return []
  // Ink goes by weight, paper by the sheet; an event has one of the two.
  const draws = await rows<{ stream: string; amount: number; title: string | null }>(
    room.db.reader,
    `SELECT events.stream,
       coalesce(json_extract(events.data, '$.milligrams'), json_extract(events.data, '$.sheets')) AS amount,
       summaries.title
     FROM events LEFT JOIN summaries ON summaries.stream = events.stream
     WHERE events.position > $1 AND events.actor = $2 AND events.type IN ('ink-taken', 'ink-drawn', 'lot-torn')
     ORDER BY events.position`,
    [open.position, open.by],
  )
  const titles = new Map(draws.map(({ stream, title }) => [stream, title]))
  return drawnWords(draws, (stream) => titles.get(stream) || 'something that is named no more')
}
