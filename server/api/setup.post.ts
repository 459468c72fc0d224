import { studioDefaults } from '#core/stores/studio/state'
import { SetUpStudio } from '#shared/commands/people'
import { failure } from '../services/failure'
import { readChecked } from '../services/request'
import { addressOf, describeSession, startSession } from '../services/session'
import { usePressroom } from '../services/use-pressroom'

/** The first visit: names the studio and its first manager, once, for whoever can read what the server printed. */
export default defineEventHandler(async (event) => {
  const room = await usePressroom()
  const given = await readChecked(event, SetUpStudio)
  if (!room.people.isEmpty)
    throw failure({ code: 'set-up-already', message: 'This pressroom is set up already. Sign in instead.' })
  const address = addressOf(event)
  if (!room.setUpToken.fits(given.token, address)) {
    room.log.note({ kind: 'turned away', address, detail: 'a wrong token for the set-up' })
    throw failure({
      code: 'wrong-token',
      field: 'token',
      message: 'That is not the token. It stands where the server was started; restart it to have it printed again.',
    })
  }
  const result = await room.people.setUp(given.name, given.secret, {
    ...studioDefaults,
    name: given.studio,
    line: given.line,
    destroyedNumber: 'retired',
    currency: given.currency,
    unit: given.unit ?? 'mm',
  })
  if ('refusal' in result) throw failure(result.refusal)
  room.log.note({ kind: 'room set up', person: result.person.id, address })
  return await describeSession(event, room, await startSession(event, room, result.person, false))
})
