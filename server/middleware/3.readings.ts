import { failure } from '../services/failure'
import { readSealed } from '../services/cookies'
import { addressOf } from '../services/session'
import { usePressroom } from '../services/use-pressroom'

/** What is no reading: it goes on for as long as the page is open, or is needed to be anybody. */
const notRead = /^\/api\/(live|session|people|scale|climate|presses\/[^/]+\/gauge|calendar\/feed)\b/

/** Taps first; readings in turn. */
export default defineEventHandler(async (event) => {
  const [path = ''] = event.path.split('?')
  if (!path.startsWith('/api/')) return
  const room = await usePressroom()
  if (event.method === 'POST' && path === '/api/commands') {
    event.node.res.once('close', room.readings.tap())
    return
  }
  if (event.method !== 'GET' || notRead.test(path)) return
  const turn = room.readings.begin(readSealed(event, room, 'sign-in') ?? addressOf(event))
  if (!turn)
    throw failure({
      code: 'wait',
      message: 'This browser asks for too much at the same time. Wait a moment, then try again.',
    })
  const end = await turn
  if (event.node.res.closed || event.node.req.destroyed) end()
  else event.node.res.once('close', end)
})
