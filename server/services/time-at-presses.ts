import { instantAt } from '#core/time/instant'
import type { LoosePull, TimeAtPress } from '#core/charges/press-time'
import { type LedgerEvent, streamId } from '#core/ground/envelope'
import { upcast } from '#core/house/upcast'
import type { Closing } from '#core/station/events/session-closed'
import { rows } from '../database/connections'
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
  const found = await rows<{
    position: number
    stream: string
    type: string
    version: number
    actor: string
    happened_at: string
    data: string
  }>(
    db.long,
    `SELECT position, stream, type, version, actor, happened_at, data FROM events
     WHERE type IN ('session-opened', 'session-closed') ORDER BY position`,
  )
  const isPress = new Set((await streamsListed(db.reader, 'press')).map(streamId))
  const open = new Map<string, ReadSession>()
  const sessions: ReadSession[] = []
  for (const { position, stream, type, version, actor, happened_at: at, data } of found) {
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
  const setups = await rows<{ stream: string; seq: number; layer: string; press: string }>(
    db.long,
    `SELECT stream, seq, json_extract(data, '$.layerId') AS layer, json_extract(data, '$.setup.pressId') AS press
     FROM events WHERE type = 'press-set'`,
  )
  const pressOf = new Map(setups.map(({ stream, seq, layer, press }) => [`${stream} ${layer} ${seq}`, press]))
  const voided = await voidedPulls(db)
  // A year has a hundred thousand pulls of some hundred layers: told as a row each they take three times as long to read.
  const runs = await rows<{ stream: string; actor: string; at: string; pulls: string }>(
    db.long,
    `SELECT stream, actor, at, group_concat(position || '|' || happened_at || '|' || command_id, ';') AS pulls FROM (
       SELECT stream, actor, position, happened_at, command_id, json_extract(data, '$.layerId', '$.setupSeq') AS at
       FROM events WHERE type = 'pulled' AND happened_at >= $1 AND happened_at < $2)
     GROUP BY stream, actor, at`,
    [widened(span.from, -1), widened(span.until, 1)],
  )
  return runs
    .flatMap(({ stream, actor, at, pulls }) => {
      const [layer, setup] = JSON.parse(at) as [string, number]
      const pressId = pressOf.get(`${stream} ${layer} ${setup}`)
      return pressId
        ? pullsOf(pulls, voided).map((pull) => ({ by: actor, editionStream: stream, pressId, ...pull }))
        : []
    })
    .sort((a, b) => a.position - b.position)
}

/**
 * Pulls as they are told together, each its place, its moment and its command, by signs that no moment has in it (a moment may
 * have a comma or a space); void ones left out.
 */
const pullsOf = (told: string, voided: ReadonlySet<string>): { at: string; position: number }[] =>
  told.split(';').flatMap((one) => {
    const [position, at, id] = one.split('|') as [string, string, string]
    return voided.has(id) ? [] : [{ at, position: Number(position) }]
  })

async function voidedPulls(db: Pressroom['db']): Promise<ReadonlySet<string>> {
  const said = await rows<{ id: string; type: string }>(
    db.long,
    `SELECT json_extract(data, '$.pullId') AS id, type FROM events
     WHERE type IN ('pull-voided', 'pull-restored') ORDER BY position`,
  )
  const voided = new Set<string>()
  for (const { id, type } of said) {
    if (type === 'pull-voided') voided.add(id)
    else voided.delete(id)
  }
  return voided
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
