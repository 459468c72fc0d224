import { DatabaseUnusable } from '../database/connections'
import { changePressroom, usePressroom } from '../services/use-pressroom'

/** What keeps a server from listening, in a line that says what to do. */
function listening(error: NodeJS.ErrnoException): string | null {
  const { PORT: port = '3000', HOST: host = 'this machine' } = process.env
  if (error.code === 'EADDRINUSE') return `Port ${port} is in use. Stop what uses it, or name another one in PORT.`
  if (error.code === 'EACCES' || error.code === 'EADDRNOTAVAIL')
    return `Port ${port} on ${host} cannot be opened (${error.code}). Name another one in PORT or HOST.`
  if (error.code?.startsWith('ERR_OSSL') || /PEM|SecureContext|certificate/i.test(error.message))
    return 'The certificate in NITRO_SSL_CERT or its key in NITRO_SSL_KEY cannot be read. Give the texts of the two PEM files.'
  return null
}

/** What a process that holds a channel to this one may tell it: serve another room, as from a fresh start. */
interface RoomHanded {
  folder: string
  demo: boolean
}

/** Opens the pressroom with the server, and stops the server when that cannot be done. */
export default defineNitroPlugin((nitro) => {
  process.prependListener('uncaughtException', (error: NodeJS.ErrnoException) => {
    const said = listening(error)
    if (said === null) return
    console.error(said)
    process.exit(1)
  })
  const ready = usePressroom().then((room) => {
    console.info(room.demo ? 'The demo pressroom is ready.' : `The pressroom in ${room.folder} is ready.`)
    if (room.people.isEmpty) console.info(`Set it up in a browser, with this token: ${room.setUpToken.text}`)
    return room
  })
  ready.catch((error: unknown) => {
    console.error(error instanceof DatabaseUnusable ? error.message : error)
    process.exit(1)
  })
  nitro.hooks.hook('close', async () => {
    const room = await usePressroom().catch(() => null)
    await room?.close()
  })
  // Open event streams would keep the server from stopping: end them as soon as it is asked to.
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(
      signal,
      () =>
        void usePressroom()
          .then((room) => room.streams.close())
          .catch(() => undefined),
    )
  process.on('message', ({ folder, demo }: RoomHanded) => {
    Object.assign(process.env, { AMPLE_TALLY_DATA: folder, AMPLE_TALLY_DEMO: demo ? '1' : '' })
    changePressroom().then(
      () => process.send!({ opened: folder }),
      (error: unknown) => process.send!({ failed: String(error) }),
    )
  })
})
