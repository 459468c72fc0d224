import type { PressUse } from '#core/stores/press/state'
import type { UsesReply } from '#shared/replies/replies'
import { pressUses } from '../database/over-events'
import type { Pressroom } from './pressroom'

const most = 60

/**
 * The set-ups of a press, newest first; every word asked for stands in what was set (layer, block and its thickness,
 * packing, note) or is known of it by its edition: artist, method, paper, kinds of block, the layer's inks.
 */
export async function usesOf(room: Pressroom, pressId: string, search: string): Promise<UsesReply> {
  const words = search.trim().toLowerCase().split(/\s+/).filter(Boolean).slice(0, 6)
  const found = await pressUses(room.db.reader, pressId, words, most)
  return {
    uses: found.map(({ position, actor, via, at, data }) => ({
      ...(JSON.parse(data) as Omit<PressUse, 'at' | 'position' | 'by' | 'via'>),
      position,
      by: actor,
      via,
      at,
    })),
  }
}
