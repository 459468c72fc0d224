import { roomAccount } from '#core/account/state'
import { inkCharges } from '#core/charges/ink'
import { chargeKinds, type ChargeLine, totalOf } from '#core/charges/line'
import { type InHands, paperCharges } from '#core/charges/paper'
import { type ChargingPress, looseCharges, sessionCharges } from '#core/charges/press-time'
import { owed } from '#core/charges/settled'
import type { EditionState } from '#core/edition/state'
import type { Happening } from '#core/ground/envelope'
import { type Instant, instantAt } from '#core/time/instant'
import { emptyState, evolve, type StreamState } from '#core/house/streams'
import { noRates } from '#core/plan/defaults'
import type { BatchState } from '#core/stores/batch/state'
import type { LotState } from '#core/stores/lot/state'
import { rateOn } from '#core/stores/press/state'
import { noonOf, spanOfDays } from '#core/time/room-clock'
import { dayOf, type RoomDay } from '#core/time/room-day'
import type { Zone } from '#core/time/zone'
import type { AccountSummary, ChargesReply, EditionCostReply, PressSummary } from '#shared/replies/replies'
import { batchesDrawnFor } from '../database/over-events'
import { allSummariesOf, streamsListed } from '../database/summaries'
import { plain, type SummaryRow } from '../database/tables'
import { readStream } from '../database/events'
import type { Pressroom } from './pressroom'
import { isIn, type Period, timeAtPresses } from './time-at-presses'
import { tubPrices } from './tub-prices'
import { type UsualPrices, usualPrices } from './usual-prices'

/** Of which streams lines are told; of all where it says nothing. */
interface Only {
  lots: readonly string[]
  batches: readonly string[]
}

/** Everything that was ever used, over those days at least (models.md, M18). */
async function everyLine(
  room: Pressroom,
  span: Period,
  accounts: readonly AccountSummary[],
  only?: Only,
): Promise<ChargeLine[]> {
  const { zone } = room.zone
  const usual = await usualPrices(room)
  const presses = await chargingPresses(room, usual)
  const { sessions, loose } = await timeAtPresses(room, span)
  return [
    ...(await paperLines(room, only?.lots)),
    ...(await inkLines(room, usual, only?.batches)),
    ...sessions.flatMap((session) => sessionCharges(presses(session.pressId), session)),
    ...looseCharges(loose, presses, (at) => dayOf(at, zone), noRates.minutesPerPull),
    ...typedLines(accounts, zone),
  ]
}

/**
 * Who owes what for some days of the room (models.md, M18): paper, ink, press time as the ledger tells them and what was typed; each
 * line with the statement it was settled by. What the room uses itself is told at cost, and owed by nobody.
 * @param days the first and the last of them
 * @param personId whose lines alone, or null for everybody's
 */
export async function readCharges(
  room: Pressroom,
  days: { from: RoomDay; to: RoomDay },
  personId: string | null,
): Promise<ChargesReply> {
  const span = spanOfDays(days.from, days.to, room.zone.zone)
  // Taken before anything is read: what is stored in between is in no statement that is settled now.
  const { position } = room.ledger
  const accounts = await allSummariesOf<AccountSummary>(room.db.reader, 'account')
  const lines = await everyLine(room, widest(span, accounts), accounts)
  const own = new Set(accounts.find(({ id }) => id === roomAccount)?.editionIds.map((id) => `edition:${id}`))
  const isRooms = ({ editionStream }: ChargeLine) => editionStream !== null && own.has(editionStream)
  const byPerson = new Map<string, ChargeLine[]>(accounts.map(({ id }) => [id, []]))
  for (const line of lines.filter((one) => !isRooms(one)))
    (byPerson.get(line.personId) ?? byPerson.set(line.personId, []).get(line.personId)!).push(line)
  const statementsOf = (id: string) => accounts.find((account) => account.id === id)?.statements ?? []
  const told = [...byPerson].flatMap(([id, those]) => owed(those, statementsOf(id), id))
  const atCost = lines.filter(isRooms).map((line) => ({ ...line, settledBy: null, corrects: null }))
  const isWanted = (line: ChargeLine) => isIn(span, line.at) && (personId === null || line.personId === personId)
  const order = (a: ChargeLine, b: ChargeLine) => a.at.localeCompare(b.at) || a.position - b.position
  const [wanted, rooms] = [told.filter(isWanted).sort(order), atCost.filter(isWanted).sort(order)]
  return {
    position,
    span,
    lines: wanted,
    rooms,
    titles: await titlesOf(room, [...wanted, ...rooms]),
    accounts: accounts
      .filter(({ id }) => id !== roomAccount && (personId === null || id === personId))
      .map(({ id, seq, statements }) => ({ personId: id, seq, statements })),
    roomSeq: accounts.find(({ id }) => id === roomAccount)?.seq ?? 0,
  }
}

/** What an edition has cost so far, by what it went into; corrections of statements are no cost. */
export async function editionCost(room: Pressroom, id: string): Promise<EditionCostReply> {
  const accounts = await allSummariesOf<AccountSummary>(room.db.reader, 'account')
  const stream = `edition:${id}`
  const { torn, pulls } = await room.ledger.read<EditionState>(stream)
  const only = { lots: torn.map(({ lotId }) => `lot:${lotId}`), batches: await batchesDrawnFor(room.db.long, stream) }
  const lines = (await everyLine(room, spanOf(pulls), accounts, only)).filter(
    ({ editionStream }) => editionStream === stream,
  )
  const kinds = chargeKinds.filter((kind) => lines.some((line) => line.kind === kind))
  return {
    byKind: kinds.map((kind) => ({ kind, cents: totalOf(lines.filter((line) => line.kind === kind)) })),
    cents: totalOf(lines),
    unpriced: lines.filter(({ isUnpriced }) => isUnpriced).length,
  }
}

/** What each press charges an hour: by its own rate of that day, or the room's usual one then. */
async function chargingPresses(room: Pressroom, usual: UsualPrices): Promise<(id: string) => ChargingPress> {
  const all = await allSummariesOf<PressSummary>(room.db.reader, 'press')
  const { zone } = room.zone
  return (id) => {
    const press = all.find((one) => one.id === id)
    return {
      name: press?.name ?? 'a press',
      hourAt: (at) => (press ? rateOn(press.rates, dayOf(at, zone)) : null) ?? usual.pressHourAt(at),
    }
  }
}

/** Every event of a kind of stream, with its stream as it stood before. */
async function eachOf<State extends StreamState>(
  room: Pressroom,
  kind: 'lot' | 'batch',
  only: readonly string[] | undefined,
  see: (before: State, event: Happening) => ChargeLine[],
): Promise<ChargeLine[]> {
  const streams = only ? [...new Set(only)].sort() : (await streamsListed(room.db.long, kind)).sort()
  const lines: ChargeLine[] = []
  for (const stream of streams) {
    let state = emptyState(stream) as State
    for (const event of (await readStream(room.db.long, stream)).events) {
      lines.push(...see(state, event))
      state = evolve(state, event)
    }
  }
  return lines
}

/** From the first to the last of some pulls; of none nothing. */
function spanOf(pulls: readonly { at: Instant }[]): Period {
  const times = pulls.map(({ at }) => Date.parse(at))
  const [first, last] = [Math.min(...times), Math.max(...times)]
  return times.length === 0
    ? { from: instantAt(0), until: instantAt(0) }
    : { from: instantAt(first), until: instantAt(last + 1) }
}

function paperLines(room: Pressroom, only?: readonly string[]): Promise<ChargeLine[]> {
  const inHands: InHands = new Map()
  return eachOf<LotState>(room, 'lot', only, (lot, event) => paperCharges(lot, event, inHands))
}

async function inkLines(room: Pressroom, { inkGramAt }: UsualPrices, only?: readonly string[]): Promise<ChargeLine[]> {
  const priceAt = await tubPrices(room)
  return eachOf<BatchState>(room, 'batch', only, (batch, event) => inkCharges(batch, event, priceAt, inkGramAt))
}

/** What was typed by hand: it falls on the noon of its day. */
const typedLines = (accounts: readonly AccountSummary[], zone: Zone): ChargeLine[] =>
  accounts.flatMap(({ id: personId, charges }) =>
    charges.map(({ on, what, cents, editionId, position }) => ({
      at: noonOf(on, zone),
      position,
      personId,
      editionStream: editionId === null ? null : `edition:${editionId}`,
      kind: 'other' as const,
      what,
      cents,
      isReckoned: false,
      isUnpriced: false,
    })),
  )

/** The days that are asked for, and those of every statement that was settled: what is a correction rests on them. */
function widest({ from, until }: Period, accounts: readonly AccountSummary[]): Period {
  const all = [{ from, until }, ...accounts.flatMap(({ statements }) => statements)]
  const at = (iso: string) => Date.parse(iso)
  return {
    from: all.reduce((least, one) => (at(one.from) < at(least) ? one.from : least), from),
    until: all.reduce((most, one) => (at(one.until) > at(most) ? one.until : most), until),
  }
}

/** Titles of the editions that are named. */
async function titlesOf({ db }: Pressroom, lines: readonly ChargeLine[]): Promise<Record<string, string>> {
  const named = new Set(lines.flatMap(({ editionStream }) => editionStream ?? []))
  const found = await db.reader.summaries.findAll({
    attributes: ['stream', 'title'],
    where: { kind: 'edition' },
    raw: true,
  })
  const all = plain<Pick<SummaryRow, 'stream' | 'title'>>(found)
  return Object.fromEntries(all.filter(({ stream }) => named.has(stream)).map(({ stream, title }) => [stream, title]))
}
