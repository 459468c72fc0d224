import { SignIn } from '#shared/commands/people'
import { usePressroom } from '../services/use-pressroom'
import { failure } from '../services/failure'
import { readChecked } from '../services/request'
import { describeSession, startSession } from '../services/session'

export default defineEventHandler(async (event) => {
  const room = await usePressroom()
  const { personId, secret } = await readChecked(event, SignIn)
  const result = await room.people.signIn(personId, secret, Date.now())
  if ('refusal' in result) throw failure(result.refusal)
  await startSession(event, room, result.person)
  return { ...(await describeSession(event, room)), person: result.person }
})
