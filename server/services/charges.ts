import { inkCharges } from '#core/charges/ink'
import type { ChargeLine } from '#core/charges/line'
import { type InHands, paperCharges } from '#core/charges/paper'
import { type ChargingPress, looseCharges, type LoosePull, sessionCharges } from '#core/charges/press-time'
import { type Happening, type LedgerEvent, streamId } from '#core/ground/envelope'
import { emptyState, evolve, type StreamState } from '#core/house/streams'
import { upcast } from '#core/house/upcast'
import { noRates } from '#core/plan/plan'
import type { Closing } from '#core/station/events/session-closed'
import type { BatchState } from '#core/stores/batch/state'
import type { LotState } from '#core/stores/lot/state'
import { rateOn } from '#core/stores/press/state'
import type { StudioState } from '#core/stores/studio/state'
import type { ChargesReply, PressSummary, TubSummary } from '#shared/replies/replies'
import { rows } from '../database/connections'
import { allSummariesOf } from '../database/summaries'
import { readStream } from '../database/events'
import type { Pressroom } from './pressroom'

/** The span that is asked about: by when things happened, the end left out. ISO instants. */
interface Span {
  from: string
  until: string
}

const isIn = ({ from, until }: Span, at: string) =>
  Date.parse(at) >= Date.parse(from) && Date.parse(at) < Date.parse(until)

/** A day either way: browsers may have written a moment with another offset, which text alone cannot compare. */
const widened = (iso: string, days: number) => new Date(Date.parse(iso) + days * 86_400_000).toISOString()

/**
 * Who owes what for a span of time (MODELS M18): paper, ink and press time as the ledger tells them.
 * @param timeZone where the room is, for the day a pull falls on
 * @param personId whose lines alone, or null for everybody's
 */
export async function readCharges(
  room: Pressroom,
  span: Span,
  timeZone: string,
  personId: string | null,
): Promise<ChargesReply> {
  const dayOf = dayIn(timeZone)
  const presses = await chargingPresses(room, dayOf)
  const sessions = await readSessions(room)
  const lines = [
    ...(await paperLines(room)),
    ...(await inkLines(room)),
    ...sessions.flatMap(({ pressId, closed, ...time }) =>
      closed ? sessionCharges(presses(pressId), { ...time, ...closed }) : [],
    ),
    ...looseCharges(await loosePulls(room, span, sessions), presses, dayOf, noRates.minutesPerPull),
  ]
  const wanted = lines
    .filter((line) => isIn(span, line.at) && (personId === null || line.personId === personId))
    .sort((a, b) => a.at.localeCompare(b.at) || a.position - b.position)
  return { lines: wanted, titles: await titlesOf(room, wanted) }
}

/** The day of a moment where the room is; of a zone nobody knows, the server's. */
function dayIn(timeZone: string): (iso: string) => string {
  const format = (zone: string | undefined) => new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeZone: zone })
  let day: Intl.DateTimeFormat
  try {
    day = format(timeZone)
  } catch {
    day = format(undefined)
  }
  // Many lines fall on few hours: a formatter is slow.
  const known = new Map<string, string>()
  return (iso) => {
    const hour = iso.slice(0, 13)
    const found = known.get(hour) ?? day.format(new Date(iso))
    known.set(hour, found)
    return found
  }
}

async function chargingPresses(
  room: Pressroom,
  dayOf: (iso: string) => string,
): Promise<(id: string) => ChargingPress> {
  const all = await allSummariesOf<PressSummary>(room.db.reader, 'press')
  const { pressHour } = await room.ledger.read<StudioState>('studio')
  const usual = pressHour > 0 ? pressHour : null
  return (id) => {
    const press = all.find((one) => one.id === id)
    return {
      name: press?.name ?? 'a press',
      hourAt: (iso) => (press ? rateOn(press.rates, dayOf(iso)) : null) ?? usual,
    }
  }
}

/** Every event of a kind of stream, with its stream as it stood before. */
async function eachOf<State extends StreamState>(
  room: Pressroom,
  kind: 'lot' | 'batch',
  see: (before: State, event: Happening) => ChargeLine[],
): Promise<ChargeLine[]> {
  const streams = await rows<{ stream: string }>(
    room.db.long,
    'SELECT stream FROM summaries WHERE kind = $1 ORDER BY stream',
    [kind],
  )
  const lines: ChargeLine[] = []
  for (const { stream } of streams) {
    let state = emptyState(stream) as State
    for (const event of (await readStream(room.db.long, stream)).events) {
      lines.push(...see(state, event))
      state = evolve(state, event)
    }
  }
  return lines
}

function paperLines(room: Pressroom): Promise<ChargeLine[]> {
  const inHands: InHands = new Map()
  return eachOf<LotState>(room, 'lot', (lot, event) => paperCharges(lot, event, inHands))
}

async function inkLines(room: Pressroom): Promise<ChargeLine[]> {
  const tubs = await allSummariesOf<TubSummary>(room.db.reader, 'tub')
  const prices = new Map(tubs.map(({ id, price }) => [id, price]))
  const { inkGram } = await room.ledger.read<StudioState>('studio')
  // A tub nobody priced says 0: that is not known, and never free.
  const priceOf = (id: string) => prices.get(id) || null
  return eachOf<BatchState>(room, 'batch', (batch, event) => inkCharges(batch, event, priceOf, inkGram))
}

interface ReadSession {
  pressId: string
  by: string
  from: string
  /** Its places in the ledger: pulls between them were made in it. */
  opened: number
  closed: { left: { at: string; position: number }; printed: Closing['used']['printed'] } | null
}

/** Sessions at presses, the order of the ledger. */
async function readSessions({ db }: Pressroom): Promise<ReadSession[]> {
  const found = await rows<{
    position: number
    stream: string
    type: string
    version: number
    actor: string
    occurred_at: string
    data: string
  }>(
    db.long,
    `SELECT position, stream, type, version, actor, occurred_at, data FROM events
     WHERE type IN ('session-opened', 'session-closed') ORDER BY position`,
  )
  const presses = new Set(
    (await rows<{ stream: string }>(db.reader, `SELECT stream FROM summaries WHERE kind = 'press'`)).map(({ stream }) =>
      streamId(stream),
    ),
  )
  const open = new Map<string, ReadSession>()
  const sessions: ReadSession[] = []
  for (const { position, stream, type, version, actor, occurred_at: at, data } of found) {
    const pressId = streamId(stream)
    if (!presses.has(pressId)) continue
    if (type === 'session-opened') {
      const session: ReadSession = { pressId, by: actor, from: at, opened: position, closed: null }
      open.set(stream, session)
      sessions.push(session)
      continue
    }
    const session = open.get(stream)
    const { used } = upcast({ type, version, data: JSON.parse(data) } as LedgerEvent).data as Closing
    if (session) session.closed = { left: { at, position }, printed: used.printed }
    open.delete(stream)
  }
  return sessions
}

/** Pulls of the span at a press where no session was open, voided ones left out. */
async function loosePulls({ db }: Pressroom, span: Span, sessions: readonly ReadSession[]): Promise<LoosePull[]> {
  const setups = await rows<{ stream: string; seq: number; layer: string; press: string }>(
    db.long,
    `SELECT stream, seq, json_extract(data, '$.layerId') AS layer, json_extract(data, '$.setup.pressId') AS press
     FROM events WHERE type = 'press-set'`,
  )
  const pressOf = new Map(setups.map(({ stream, seq, layer, press }) => [`${stream} ${layer} ${seq}`, press]))
  const voids = await rows<{ id: string; type: string }>(
    db.long,
    `SELECT json_extract(data, '$.pullId') AS id, type FROM events
     WHERE type IN ('pull-voided', 'pull-restored') ORDER BY position`,
  )
  const voided = new Set<string>()
  for (const { id, type } of voids) {
    if (type === 'pull-voided') voided.add(id)
    else voided.delete(id)
  }
  const pulls = await rows<{
    position: number
    stream: string
    actor: string
    command_id: string
    occurred_at: string
    layer: string
    setup: number
  }>(
    db.long,
    `SELECT position, stream, actor, command_id, occurred_at,
       json_extract(data, '$.layerId') AS layer, json_extract(data, '$.setupSeq') AS setup
     FROM events WHERE type = 'pulled' AND occurred_at >= $1 AND occurred_at < $2 ORDER BY position`,
    [widened(span.from, -1), widened(span.until, 1)],
  )
  const wasOpen = openAt(sessions)
  return pulls.flatMap(({ position, stream, actor, command_id: id, occurred_at: at, layer, setup }) => {
    const pressId = pressOf.get(`${stream} ${layer} ${setup}`)
    if (!pressId || !isIn(span, at) || voided.has(id) || wasOpen(pressId, position)) return []
    return [{ by: actor, editionStream: stream, pressId, at, position }]
  })
}

/** Whether a session was open at a press at a place in the ledger; asked for in the order of the ledger. */
function openAt(sessions: readonly ReadSession[]): (pressId: string, position: number) => boolean {
  const at = new Map<string, ReadSession[]>()
  for (const session of sessions) at.set(session.pressId, [...(at.get(session.pressId) ?? []), session])
  return (pressId, position) => {
    const those = at.get(pressId) ?? []
    while (those.length > 0 && those[0]!.closed && those[0]!.closed.left.position < position) those.shift()
    return those.length > 0 && those[0]!.opened < position
  }
}

/** Titles of the editions that are named. */
async function titlesOf({ db }: Pressroom, lines: readonly ChargeLine[]): Promise<Record<string, string>> {
  const named = new Set(lines.flatMap(({ editionStream }) => editionStream ?? []))
  const all = await rows<{ stream: string; title: string }>(
    db.reader,
    `SELECT stream, title FROM summaries WHERE kind = 'edition'`,
  )
  return Object.fromEntries(all.filter(({ stream }) => named.has(stream)).map(({ stream, title }) => [stream, title]))
}
