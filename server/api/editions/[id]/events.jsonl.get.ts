import { Readable } from 'node:stream'
import { eventLines } from '../../../studio-file/event-lines'
import { readEdition } from '../../../services/editions'
import { asking } from '../../../services/session'

/** Every event of an edition, as lines of a studio file: what its record can be checked against. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const { state } = await readEdition(room, getRouterParam(event, 'id') ?? '')
  setResponseHeaders(event, {
    'content-type': 'application/jsonl; charset=utf-8',
    'content-disposition': 'attachment; filename="edition-events.jsonl"',
  })
  return sendStream(event, Readable.from(eventLines(room.db.long, room.ledger.position, state.stream)))
})
