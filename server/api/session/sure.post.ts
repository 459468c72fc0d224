import { GiveSecret } from '#shared/commands/people'
import { failure } from '../../services/failure'
import { readChecked } from '../../services/request'
import { addressOf, asking } from '../../services/session'

/** The secret once more, before what asks for it. */
export default defineEventHandler(async (event) => {
  const { room, person, signIn } = await asking(event)
  const { secret } = await readChecked(event, GiveSecret)
  const attempt = { personId: person.id, address: addressOf(event), knownDevice: signIn.device }
  const result = await room.people.recognise(secret, attempt)
  if ('refusal' in result) {
    room.log.note({ kind: 'wrong secret', person: person.id, address: attempt.address, device: signIn.device })
    // Still signed in: a wrong secret here is an answer to a question, not the end of the session.
    throw failure({ ...result.refusal, code: result.refusal.code === 'wait' ? 'wait' : 'secret-unfit' })
  }
  room.signIns.confirm(signIn)
  return { sure: true }
})
