import { Id, Ids, OrNull, Parts, Words } from '../../ground/shape'
import { inkFamilies } from '../../ink/family'
import { Finding, findingKeys } from '../../care/findings'
import { edition } from '../../edition/stream'
import { defineAct } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { type Refused, refuse } from '../../ground/refusal'
import { anyone, isStaff } from '../../ground/who'
import { leaveOf } from '../../stores/studio/leaves'
import type { StudioState } from '../../stores/studio/state'
import { studio } from '../../stores/studio/stream'
import { sessionClosed } from '../events/session-closed'
import { taskRaised } from '../events/task-raised'
import { taskSolved } from '../events/task-solved'
import { Washed } from '../state'
import { station } from '../stream'
import { Problem, tasksFrom } from '../tasks'
import { usedIn } from '../used'

class Leaving {
  static readonly sample: Leaving = {
    sessionId: 's',
    items: [{ key: 'slab', isRight: true }],
    washed: [{ family: 'oil', name: 'seed oil', seconds: 120 }],
    stock: 'the last of the black',
    note: '',
    pictureId: null,
    problems: [{ kind: 'broken', what: 'the left screw grinds', pictureId: null }],
    editionIds: ['e'],
  }

  @Id('session') sessionId!: string
  @Parts(() => Finding, findingKeys.length) items!: Finding[]
  @Parts(() => Washed, inkFamilies.length) washed!: Washed[]
  @Words(2000) stock!: string
  @Words(1000) note!: string
  @OrNull() @Id('picture', 100) pictureId!: string | null
  @Parts(() => Problem, 10) problems!: Problem[]
  /** Editions printed here meanwhile: their pulls say what was used. */
  @Ids('edition', 20) editionIds!: string[]
}

/** A place is left, and how; by its person, or by staff as it seems. */
export const closeSession = defineAct(station, 'close-session', Leaving, anyone, {
  needs: ({ editionIds }) => ({ editions: editionIds.map((id) => edition.of(id)), room: studio.of() }),
  events: [sessionClosed, taskRaised, taskSolved],
  rule: ({ station, editions, room }, data, { personId, role, commandId }) => {
    const { sessionId, items, washed, stock, note, pictureId, problems } = data
    if (station.open?.id !== sessionId)
      return refuse('session-gone', 'That session is closed already. Look at the station again; what you gave is kept.')
    const isOwn = station.open.by === personId
    if (!isOwn && !isStaff(role))
      return refuse('not-theirs', 'Whose session it is closes it, or staff, as it seems to them.')
    const solvent = role === 'student' ? solventGate(room, washed, personId) : null
    if (solvent) return solvent
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

/** What was washed with a solvent by somebody who was not shown how, or null. */
function solventGate(room: StudioState, washed: readonly Washed[], personId: string): Refused | null {
  const used = washed.find(({ family, name }) =>
    room.cleaners.some((cleaner) => cleaner.isSolvent && cleaner.family === family && cleaner.name === name),
  )
  if (!used || leaveOf(room, { personId, use: 'solvents', pressId: null })) return null
  return refuse(
    'solvent-gate',
    `${used.name} is a solvent: ask to be shown how it is used here. Until then an instructor washes up with you and closes the session.`,
    'washed',
  )
}
