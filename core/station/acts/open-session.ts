import { IsBoolean } from 'class-validator'
import { Ids } from '../../ground/shape'
import { edition } from '../../edition/stream'
import { defineAct } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { refuse } from '../../ground/refusal'
import { anyone } from '../../ground/who'
import { notTheirs } from '../../stores/press/fault'
import { press } from '../../stores/press/stream'
import { sessionClosed } from '../events/session-closed'
import { sessionOpened } from '../events/session-opened'
import { taskRaised } from '../events/task-raised'
import { taskSolved } from '../events/task-solved'
import { AsFound } from '../state'
import { station } from '../stream'
import { tasksFrom } from '../tasks'
import { usedIn } from '../used'

class Opening extends AsFound {
  static readonly sample: Opening = {
    items: [{ key: 'roller', isRight: false }],
    note: 'a rag on the bed',
    pictureId: null,
    over: false,
    editionIds: [],
  }

  /** Whoever had it open has gone, and did not close. */
  @IsBoolean() over!: boolean
  /** Editions printed in the session that is taken over: their pulls say what it used. */
  @Ids('edition', 20) editionIds!: string[]
}

/** Somebody takes a place over, and says how it was found. */
export const openSession = defineAct(station, 'open-session', Opening, anyone, {
  needs: ({ editionIds }, stream) => ({
    press: press.of(streamId(stream)),
    editions: editionIds.map((id) => edition.of(id)),
  }),
  events: [sessionOpened, sessionClosed, taskRaised, taskSolved],
  rule: ({ station, press, editions }, { over, items, note, pictureId }, { personId, role, commandId }) => {
    const isPress = press.name !== ''
    if (!isPress && (station.name === '' || !station.isUsed))
      return refuse('unknown-station', 'That station is not in the room any more. See which are under Presses.')
    const others = isPress && notTheirs(press, role)
    if (others) return others
    if (station.open?.by === personId)
      return refuse('already-open', 'Your session is open here already. Close it when you leave.')
    if (station.open && !over)
      return refuse(
        'session-open',
        'Somebody else’s session is open here. If they have gone, say so, and yours is opened; theirs stands as left open.',
        'over',
      )
    return [
      ...(station.open
        ? [
            sessionClosed.on(station, {
              how: 'taken over',
              items: [],
              washed: [],
              used: usedIn(editions, station.open, streamId(station.stream)),
              stock: '',
              note: '',
              pictureId: null,
            }),
          ]
        : []),
      sessionOpened.on(station, { sessionId: commandId, items, note, pictureId }),
      ...tasksFrom(station, items, [], commandId),
    ]
  },
})
