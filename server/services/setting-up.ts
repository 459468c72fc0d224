import type { H3Event } from 'h3'
import { failure } from './failure'
import type { Pressroom } from './pressroom'
import { addressOf } from './session'
import { usePressroom } from './use-pressroom'

/**
 * A room that nobody has set up yet, for whoever can read what its server printed.
 * @throws a failure when there is a room already, or the token is another
 */
export async function settingUp(event: H3Event, token: string): Promise<{ room: Pressroom; address: string }> {
  const room = await usePressroom()
  if (!room.people.isEmpty)
    throw failure({ code: 'set-up-already', message: 'This pressroom is set up already. Sign in instead.' })
  const address = addressOf(event)
  const tried = room.setUpToken.try(token, address)
  if ('wait' in tried)
    throw failure({
      code: 'wait',
      field: 'token',
      message: `Too many wrong tokens. Wait ${tried.wait} ${tried.wait === 1 ? 'second' : 'seconds'}, then try again.`,
    })
  if (tried.fits) return { room, address }
  room.log.note({ kind: 'turned away', address, detail: 'a wrong token for the set-up' })
  throw failure({
    code: 'wrong-token',
    field: 'token',
    message: 'That is not the token. It stands where the server was started; restart it to have it printed again.',
  })
}
