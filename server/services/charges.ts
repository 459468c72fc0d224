import { inkCharges } from '#core/charges/ink'
import type { ChargeLine } from '#core/charges/line'
import { type InHands, paperCharges } from '#core/charges/paper'
import { type ChargingPress, looseCharges, sessionCharges } from '#core/charges/press-time'
import type { Happening } from '#core/ground/envelope'
import { emptyState, evolve, type StreamState } from '#core/house/streams'
import { noRates } from '#core/plan/plan'
import type { BatchState } from '#core/stores/batch/state'
import type { LotState } from '#core/stores/lot/state'
import { rateOn } from '#core/stores/press/state'
import type { StudioState } from '#core/stores/studio/state'
import type { ChargesReply, PressSummary, TubSummary } from '#shared/replies/replies'
import { rows } from '../database/connections'
import { allSummariesOf } from '../database/summaries'
import { readStream } from '../database/events'
import type { Pressroom } from './pressroom'
import { isIn, type Span, timeAtPresses } from './time-at-presses'

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
  const { sessions, loose } = await timeAtPresses(room, span)
  const lines = [
    ...(await paperLines(room)),
    ...(await inkLines(room)),
    ...sessions.flatMap((session) => sessionCharges(presses(session.pressId), session)),
    ...looseCharges(loose, presses, dayOf, noRates.minutesPerPull),
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

/** Titles of the editions that are named. */
async function titlesOf({ db }: Pressroom, lines: readonly ChargeLine[]): Promise<Record<string, string>> {
  const named = new Set(lines.flatMap(({ editionStream }) => editionStream ?? []))
  const all = await rows<{ stream: string; title: string }>(
    db.reader,
    `SELECT stream, title FROM summaries WHERE kind = 'edition'`,
  )
  return Object.fromEntries(all.filter(({ stream }) => named.has(stream)).map(({ stream, title }) => [stream, title]))
}
