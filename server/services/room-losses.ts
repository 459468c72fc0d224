import type { EditionState } from '#core/edition/state'
import { type LossBy, lossesOf } from '#core/watch/losses'
import { hourOf } from '#core/time/room-day'
import type { RoomLossesReply } from '#shared/replies/replies'
import { countsSome, streamsListed } from '../database/summaries'
import type { Pressroom } from './pressroom'

/** More editions than these say little of how the room prints now. */
const editionsRead = 30

/** Where the room loses, over the editions that were printed last. */
export async function readRoomLosses(room: Pressroom, by: LossBy, person: string | null): Promise<RoomLossesReply> {
  const printed = await streamsListed(room.db.reader, 'edition', {
    where: countsSome('impressions'),
    limit: editionsRead,
  })
  const editions: EditionState[] = []
  // One after the other: large ones come from disk, and the writer goes before.
  for (const stream of printed) editions.push(await room.ledger.read<EditionState>(stream))
  return {
    editions: editions.length,
    rows: lossesOf(editions, { by, hourOf: (at) => hourOf(at, room.zone.zone), person, layerId: null }),
  }
}
