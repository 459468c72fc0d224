import { TakeStudioFile } from '#shared/commands/people'
import { failure } from '../../services/failure'
import { readChecked } from '../../services/request'
import { describeSession, startSession } from '../../services/session'
import { settingUp } from '../../services/setting-up'
import { RoomThere } from '../../studio-file/take-staged'

/** The file that was read becomes this room, and one of its managers opens it. */
export default defineEventHandler(async (event) => {
  const given = await readChecked(event, TakeStudioFile)
  const { room, address } = await settingUp(event, given.token)
  const { phase, report, problemCount } = room.bringingIn.reply
  if (phase !== 'read' || !report || problemCount > 0)
    throw failure({
      code: 'nothing-to-take',
      message: 'No file was read whole and without a fault. Hand one in first.',
    })
  if (!report.managers.some(({ id }) => id === given.managerId))
    throw failure({ code: 'unknown-person', field: 'managerId', message: 'Choose which manager of the file you are.' })
  try {
    await room.bringingIn.take(room, given.managerId, given.secret)
  } catch (error) {
    if (!(error instanceof RoomThere)) throw error
    throw failure({ code: 'set-up-already', message: 'This pressroom was set up meanwhile. Sign in instead.' })
  }
  const person = room.people.get(given.managerId)!
  room.log.note({ kind: 'studio file brought in', person: person.id, address, detail: `${report.events} events` })
  return await describeSession(event, room, await startSession(event, room, person, false))
})
