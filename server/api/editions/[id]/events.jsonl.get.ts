import { Readable } from 'node:stream'
import { shareOf } from '#core/house/who-sees'
import { eventLines, seenLines } from '../../../studio-file/event-lines'
import { readEdition } from '../../../services/editions'
import { asking } from '../../../services/session'
import { viewerOf } from '../../../services/viewer'

/** Every event of an edition as the person sees it, as lines of a studio file: what its record can be checked against. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const { stream } = (await readEdition(room, getRouterParam(event, 'id') ?? '')).state
  const share = shareOf(viewerOf(person), stream, room.owners.isOwn)
  setResponseHeaders(event, {
    'content-type': 'application/jsonl; charset=utf-8',
    'content-disposition': 'attachment; filename="edition-events.jsonl"',
  })
  return sendStream(event, Readable.from(seenLines(eventLines(room.db.long, room.ledger.position, stream), share)))
})
