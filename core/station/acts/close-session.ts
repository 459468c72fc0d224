import type { Finding } from '../../care/findings'
import { edition } from '../../edition/stream'
import { defineAct } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { refuse } from '../../ground/refusal'
import { anyone, isStaff } from '../../ground/who'
import { sessionClosed } from '../events/session-closed'
import { taskRaised } from '../events/task-raised'
import { taskSolved } from '../events/task-solved'
import type { Washed } from '../state'
import { station } from '../stream'
import { type Problem, tasksFrom } from '../tasks'
import { usedIn } from '../used'

interface Leaving {
  sessionId: string
  items: Finding[]
  washed: Washed[]
  stock: string
  note: string
  pictureId: string | null
  problems: Problem[]
  /** Editions printed here meanwhile: their pulls say what was used. */
  editionIds: string[]
}

/** A place is left, and how; by its person, or by staff as it seems. */
export const closeSession = defineAct(station, 'close-session', anyone, {
  needs: ({ editionIds }: Leaving) => ({ editions: editionIds.map((id) => edition.of(id)) }),
  events: [sessionClosed, taskRaised, taskSolved],
  rule: ({ station, editions }, data: Leaving, { personId, role, commandId }) => {
    const { sessionId, items, washed, stock, note, pictureId, problems } = data
    if (station.open?.id !== sessionId)
      return refuse('session-gone', 'That session is closed already. Look at the station again; what you gave is kept.')
    const isOwn = station.open.by === personId
    if (!isOwn && !isStaff(role))
      return refuse('not-theirs', 'Whose session it is closes it, or staff, as it seems to them.')
    if (problems.some(({ what }) => what.trim() === ''))
      return refuse('problem-missing', 'Say what the problem is, so that somebody can mend it.', 'problems')
    return [
      sessionClosed.on(station, {
        items,
        washed,
        stock,
        note,
        pictureId,
        how: isOwn ? 'left' : 'as it seems',
        used: usedIn(editions, station.open, streamId(station.stream)),
      }),
      ...tasksFrom(station, items, problems, commandId),
    ]
  },
})
