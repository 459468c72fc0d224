import type { PressUse } from '#core/stores/press/state'
import type { UsesReply } from '#shared/replies/replies'
import { rows } from '../database/connections'
import type { Pressroom } from './pressroom'

const most = 60

interface Row {
  position: number
  actor: string
  via: string | null
  happened_at: string
  data: string
}

/** Signs that the search of the database would take for wildcards. */
const literally = (word: string) => `%${word.replaceAll(/[~%_]/g, (sign) => `~${sign}`)}%`

/**
 * The set-ups of a press, newest first; every word asked for stands in what was set (layer, block and its thickness,
 * packing, note) or is known of it by its edition: artist, method, paper, kinds of block, the layer's inks.
 */
export async function usesOf(room: Pressroom, pressId: string, search: string): Promise<UsesReply> {
  const words = search.trim().toLowerCase().split(/\s+/).filter(Boolean).slice(0, 6)
  const asked = words.map((_, i) => `AND told LIKE $${i + 2} ESCAPE '~'`).join(' ')
  const found = await rows<Row>(
    room.db.reader,
    `SELECT position, actor, via, happened_at, data FROM (
       SELECT events.*, lower(
         events.data || ' ' || coalesce(json_extract(summaries.data, '$.printedWith.all'), '') || ' ' ||
         coalesce(json_extract(summaries.data, '$.printedWith.inks."' || json_extract(events.data, '$.layerId') || '"'), '')
       ) AS told
       FROM events LEFT JOIN summaries ON summaries.stream = json_extract(events.data, '$.editionStream')
       WHERE events.stream = $1 AND events.type = 'press-used'
     ) WHERE TRUE ${asked} ORDER BY seq DESC LIMIT ${most}`,
    [`press:${pressId}`, ...words.map(literally)],
  )
  return {
    uses: found.map(({ position, actor, via, happened_at, data }) => ({
      ...(JSON.parse(data) as Omit<PressUse, 'at' | 'position' | 'by' | 'via'>),
      position,
      by: actor,
      via,
      at: happened_at,
    })),
  }
}
