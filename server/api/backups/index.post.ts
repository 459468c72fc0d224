import { hasNoRoom } from '../../database/durable'
import { failure } from '../../services/failure'
import { staffAsking } from '../../services/session'

/** Make a backup now, while everyone goes on. */
export default defineEventHandler(async (event) => {
  const { room, person } = await staffAsking(event)
  const note = await room.backups.make().catch((error: Error) => {
    if (!hasNoRoom(error)) throw error
    throw failure({
      code: 'disk-full',
      message: 'There is no room for a backup on the server’s disk. Make room first.',
    })
  })
  room.log.note({ kind: 'backup made', by: person.id, detail: `${note.events} events` })
  return await room.backups.reply()
})
