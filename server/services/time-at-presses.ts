import { instantAt } from '#core/time/instant'
import type { LoosePull, TimeAtPress } from '#core/charges/press-time'
import { type LedgerEvent, streamId } from '#core/ground/envelope'
import { upcast } from '#core/house/upcast'
import type { Closing } from '#core/station/events/session-closed'
import { eventsOfTypes, pressOfSetups, pullsBetween, voidPulls } from '../database/over-events'
import { streamsListed } from '../database/summaries'
import type { Pressroom } from './pressroom'

/** A span of time, by when things happened, the end left out. ISO instants. */
export interface Period {
  from: string
  until: string
}

export const isIn = ({ from, until }: Period, at: string): boolean =>
  Date.parse(at) >= Date.parse(from) && Date.parse(at) < Date.parse(until)

/** A day either way: browsers may have written a moment with another offset, which text alone cannot compare. */
const widened = (iso: string, days: number) => instantAt(Date.parse(iso) + days * 86_400_000)

type Session = TimeAtPress & { pressId: string }

/** One as it is read: its places in the ledger, between which pulls at its press were made in it. */
interface ReadSession {
  pressId: string
  by: string
  from: string
  opened: number
  closed: { at: string; position: number; how: Closing['how']; printed: Closing['used']['printed'] } | null
  lastPull: string | null
}

/** Time at the presses: sessions that were closed, and the pulls of the span that were made in none. */
export async function timeAtPresses(
  room: Pressroom,
  span: Period,
): Promise<{ sessions: Session[]; loose: LoosePull[] }> {
  const sessions = await readSessions(room)
  const sessionAt = openAt(sessions)
  const loose: LoosePull[] = []
  for (const pull of await pullsAtPresses(room, span)) {
    const session = sessionAt(pull.pressId, pull.position)
    if (session) session.lastPull = pull.at
    else if (isIn(span, pull.at)) loose.push(pull)
  }
  return {
    sessions: sessions.flatMap(({ pressId, by, from, closed, lastPull }) =>
      closed
        ? [
            {
              pressId,
              by,
              from,
              left: { at: closed.at, position: closed.position },
              printed: closed.printed,
              lastPull: closed.how === 'left' ? null : (lastPull ?? from),
            },
          ]
        : [],
    ),
    loose,
  }
}

/** Sessions at presses, in the order of the ledger. */
async function readSessions({ db }: Pressroom): Promise<ReadSession[]> {
  const found = await eventsOfTypes(db.long, ['session-opened', 'session-closed'])
  const isPress = new Set((await streamsListed(db.reader, 'press')).map(streamId))
  const open = new Map<string, ReadSession>()
  const sessions: ReadSession[] = []
  for (const { position, stream, type, version, actor, at, data } of found) {
    const pressId = streamId(stream)
    if (!isPress.has(pressId)) continue
    if (type === 'session-opened') {
      const session = { pressId, by: actor, from: at, opened: position, closed: null, lastPull: null }
      open.set(stream, session)
      sessions.push(session)
      continue
    }
    const session = open.get(stream)
    const { used, how } = upcast({ type, version, data: JSON.parse(data) } as LedgerEvent).data as Closing
    if (session) session.closed = { at, position, how, printed: used.printed }
    open.delete(stream)
  }
  return sessions
}

/** Pulls about the span of layers that were set up on a press, voided ones left out, in the order of the ledger. */
async function pullsAtPresses({ db }: Pressroom, span: Period): Promise<LoosePull[]> {
  const pressOf = await pressOfSetups(db.long)
  const voided = await voidPulls(db.long)
  const runs = await pullsBetween(db.long, widened(span.from, -1), widened(span.until, 1))
  return runs
    .flatMap(({ stream, actor, layerId, setupSeq, pulls }) => {
      const pressId = pressOf.get(`${stream} ${layerId} ${setupSeq}`)
      return pressId
        ? pulls
            .filter(({ id }) => !voided.has(id))
            .map(({ at, position }) => ({ by: actor, editionStream: stream, pressId, at, position }))
        : []
    })
    .sort((a, b) => a.position - b.position)
}

/** The session that was open at a press at a place in the ledger; asked for in the order of the ledger. */
function openAt(sessions: readonly ReadSession[]): (pressId: string, position: number) => ReadSession | null {
  const at = new Map<string, ReadSession[]>()
  for (const session of sessions) {
    const those = at.get(session.pressId)
    if (those) those.push(session)
    else at.set(session.pressId, [session])
  }
  return (pressId, position) => {
    const those = at.get(pressId) ?? []
    while (those[0]?.closed && those[0].closed.position < position) those.shift()
    const [first] = those
    return first && first.opened < position ? first : null
  }
}
