import { DatabaseUnusable } from '../database/connections'
import { usePressroom } from '../services/use-pressroom'

/** Opens the pressroom with the server, and stops the server when that cannot be done. */
export default defineNitroPlugin((nitro) => {
  const ready = usePressroom().then((room) => {
    console.info(room.demo ? 'The demo pressroom is ready.' : `The pressroom in ${room.folder} is ready.`)
    return room
  })
  ready.catch((error: unknown) => {
    console.error(error instanceof DatabaseUnusable ? error.message : error)
    process.exit(1)
  })
  nitro.hooks.hook('close', async () => {
    const room = await ready.catch(() => null)
    await room?.close()
  })
  // Open event streams would keep the server from stopping: end them as soon as it is asked to.
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => void ready.then((room) => room.live.close()).catch(() => undefined))
})
