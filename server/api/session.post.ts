import { SignIn } from '#shared/commands/people'
import { deviceOf } from '../services/device'
import { failure } from '../services/failure'
import { readChecked } from '../services/request'
import { addressOf, describeSession, startSession } from '../services/session'
import { usePressroom } from '../services/use-pressroom'

export default defineEventHandler(async (event) => {
  const room = await usePressroom()
  const { personId, secret, own = false } = await readChecked(event, SignIn)
  const [address, device] = [addressOf(event), deviceOf(event, room)]
  const knownDevice = device !== null && room.signIns.knows(personId, device) ? device : null
  const result = await room.people.recognise(secret, { personId, address, knownDevice })
  if ('refusal' in result) {
    const kind = result.refusal.code === 'wait' ? 'made to wait' : 'wrong secret'
    room.log.note({ kind, person: room.people.get(personId)?.id, address, device: device ?? '' })
    throw failure(result.refusal)
  }
  return await describeSession(event, room, await startSession(event, room, result.person, own))
})
