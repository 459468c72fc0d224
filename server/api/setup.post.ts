import { studioDefaults } from '#core/stores/studio/state'
import { SetUpStudio } from '#shared/commands/people'
import { failure } from '../services/failure'
import { readChecked } from '../services/request'
import { describeSession, startSession } from '../services/session'
import { settingUp } from '../services/setting-up'

/** The first visit: names the studio and its first manager, once, for whoever can read what the server printed. */
export default defineEventHandler(async (event) => {
  const given = await readChecked(event, SetUpStudio)
  const { room, address } = await settingUp(event, given.token)
  const result = await room.people.setUp(
    given.name,
    given.secret,
    {
      ...studioDefaults,
      name: given.studio,
      line: given.line,
      destroyedNumber: 'retired',
      currency: given.currency,
      unit: given.unit ?? 'mm',
    },
    given.timeZone ?? null,
  )
  if ('refusal' in result) throw failure(result.refusal)
  room.log.note({ kind: 'room set up', person: result.person.id, address })
  return await describeSession(event, room, await startSession(event, room, result.person, false))
})
