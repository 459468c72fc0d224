import type { PressUse } from '#core/stores/press/state'
import type { UsesReply } from '#shared/replies/replies'
import { rows } from '../database/connections'
import type { Pressroom } from './pressroom'

const most = 60

interface Row {
  position: number
  actor: string
  via: string | null
  occurred_at: string
  data: string
}

/** Signs that the search of the database would take for wildcards. */
const literally = (word: string) => `%${word.replaceAll(/[~%_]/g, (sign) => `~${sign}`)}%`

/** The set-ups of a press, newest first; every word asked for stands in what was set: edition, layer, block, packing, note. */
export async function usesOf(room: Pressroom, pressId: string, search: string): Promise<UsesReply> {
  const words = search.trim().toLowerCase().split(/\s+/).filter(Boolean).slice(0, 6)
  const asked = words.map((_, i) => `AND lower(data) LIKE $${i + 2} ESCAPE '~'`).join(' ')
  const found = await rows<Row>(
    room.db.reader,
    `SELECT position, actor, via, occurred_at, data FROM events
     WHERE stream = $1 AND type = 'press-used' ${asked} ORDER BY seq DESC LIMIT ${most}`,
    [`press:${pressId}`, ...words.map(literally)],
  )
  return {
    uses: found.map(({ position, actor, via, occurred_at, data }) => ({
      ...(JSON.parse(data) as Omit<PressUse, 'at' | 'position' | 'by' | 'via'>),
      position,
      by: actor,
      via,
      at: occurred_at,
    })),
  }
}
