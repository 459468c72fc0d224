import { Readable } from 'node:stream'
import { failure } from '../../services/failure'
import { managerAsking } from '../../services/session'
import { studioFile } from '../../studio-file/write'

/** The whole room as one file. It holds everyone's name and all they did: the manager's, who shows once more that it is they. */
export default defineEventHandler(async (event) => {
  const { room, person, signIn } = await managerAsking(event)
  if (!room.signIns.isSure(signIn))
    throw failure({ code: 'give-secret-again', message: 'Give your PIN or passphrase once more for this.' })
  room.log.note({ kind: 'studio file written', by: person.id, detail: `${room.ledger.position} events` })
  setResponseHeaders(event, {
    'content-type': 'application/jsonl; charset=utf-8',
    'content-disposition': 'attachment',
  })
  return sendStream(event, Readable.from(studioFile(room)))
})
