import { createWriteStream } from 'node:fs'
import { mkdir } from 'node:fs/promises'
import { pipeline } from 'node:stream/promises'
import { hasNoRoom } from '../../database/durable'
import { failure } from '../../services/failure'
import { settingUp } from '../../services/setting-up'

/** Larger than any room of people makes in a lifetime. */
const mostBytes = 8 * 1024 ** 3

/** A studio file comes in, to be read and looked through. The room stays empty until it is taken. */
export default defineEventHandler(async (event) => {
  const { room } = await settingUp(event, getRequestHeader(event, 'x-set-up-token') ?? '')
  const { bringingIn } = room
  const length = Number(getRequestHeader(event, 'content-length') ?? Number.NaN)
  if (!(length <= mostBytes))
    throw failure({
      code: 'too-large',
      message: 'A studio file has a size that is known, of 8 GB at most. Nothing was changed.',
    })
  if (bringingIn.isBusy)
    throw failure({ code: 'wait', message: 'A file is being read already. Wait until it is done.' })
  await bringingIn.begin()
  try {
    await mkdir(bringingIn.folder, { recursive: true, mode: 0o700 })
    await pipeline(event.node.req, createWriteStream(bringingIn.file, { mode: 0o600 }))
  } catch (error) {
    await bringingIn.forget()
    throw hasNoRoom(error)
      ? failure({ code: 'disk-full', message: 'The server’s disk has no room for this file. Make room first.' })
      : failure({ code: 'invalid', message: 'The file did not come whole. Hand it in again; nothing was changed.' })
  }
  // Read while whoever handed it in looks on; what goes wrong then is told as they ask.
  void bringingIn.read().catch(async (error: unknown) => {
    console.error('A studio file could not be read:', error)
    await bringingIn.forget()
  })
  return bringingIn.reply
})
