import { v7 as uuid } from 'uuid'
import { studioDefaults } from '#core/stores/studio/state'
import { SetUpStudio } from '#shared/commands/people'
import { usePressroom } from '../services/use-pressroom'
import { failure } from '../services/failure'
import { readChecked } from '../services/request'
import { describeSession, startSession } from '../services/session'

/** The first visit: names the studio and its first manager, once. */
export default defineEventHandler(async (event) => {
  const room = await usePressroom()
  const given = await readChecked(event, SetUpStudio)
  if (!room.people.isEmpty)
    throw failure({ code: 'set-up-already', message: 'This pressroom is set up already. Sign in instead.' })
  const result = await room.people.add(given.name, 'manager', given.secret, null)
  if ('refusal' in result) throw failure(result.refusal)
  const { person } = result
  const answer = await room.ledger.submit({
    command: {
      type: 'set-studio',
      stream: 'studio',
      data: {
        name: given.studio,
        line: given.line,
        destroyedNumber: 'retired',
        currency: given.currency,
        ...studioDefaults,
        unit: given.unit ?? 'mm',
      },
    },
    context: { personId: person.id, role: 'manager', commandId: uuid(), occurredAt: new Date().toISOString() },
    device: 'server',
    via: null,
  })
  if (answer.status === 'refused' || answer.status === 'failed') throw failure(answer.refusal)
  await startSession(event, room, person)
  return { ...(await describeSession(event, room)), person }
})
