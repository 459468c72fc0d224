import { spanOf } from '#core/calendar/free'
import { instantOf } from '#core/time/instant'
import type { Booking, CalendarState } from '#core/calendar/state'
import { layerOf } from '#core/edition/layer'
import { isLive } from '#core/edition/pull'
import type { EditionState } from '#core/edition/state'
import { isStaff } from '#core/ground/who'
import { type InkOf, runAtPress } from '#core/run/at-press'
import { type ChangeOver, changeOver, minutesOf, noChange, type RunAtPress } from '#core/run/change-over'
import { type DayAsked, type DayOrder, inGivenOrder, mostRuns, orderOfDay } from '#core/run/order-of-day'
import { merged, type Span } from '#core/timetable/spans'
import type { OrderProposal } from '#shared/replies/calendar'
import type { PersonReply, PressSummary } from '#shared/replies/replies'
import type { Pressroom } from './pressroom'
import { inksOf, learntAt } from './press-runs'

/** A run is at least so long, however much of its booking changing over takes. Minutes. */
const leastRun = 10

/** A booking of the day, and what it prints. */
interface Booked extends Span {
  booking: Booking
  /** Null for a booking that names no layer: nobody knows how it would follow another. */
  run: RunAtPress | null
  mayMove: boolean
}

/**
 * For each press the order of a day's runs that changes over least (models.md, M20): only one's own are moved, staff move
 * everybody's, and what is kept to its hour stays.
 * @param day the day, in minutes since 1970
 * @param now what began before stays where it is
 */
export async function proposedOrders(
  room: Pressroom,
  calendar: CalendarState,
  presses: readonly PressSummary[],
  day: Span,
  now: number,
  person: Pick<PersonReply, 'id' | 'role'>,
): Promise<OrderProposal[]> {
  const inkOf = await inksOf(room)
  const found: OrderProposal[] = []
  for (const press of presses) {
    const booked = await bookedAt(room, calendar, press, day, now, inkOf, person)
    const runs = booked.filter(({ mayMove, booking }) => mayMove || booking.isFixed)
    if (runs.filter(({ mayMove }) => mayMove).length < 2 || runs.length > mostRuns) continue
    const proposal = await proposalFor(room, press, runs, now, inkOf)
    if (proposal) found.push(proposal)
  }
  return found
}

async function bookedAt(
  room: Pressroom,
  { bookings }: CalendarState,
  press: PressSummary,
  day: Span,
  now: number,
  inkOf: InkOf,
  { id, role }: Pick<PersonReply, 'id' | 'role'>,
): Promise<Booked[]> {
  const those = bookings
    .filter(({ placeId }) => placeId === press.id)
    .map((booking) => ({ booking, ...spanOf(booking) }))
    .filter(({ from, to }) => from >= Math.max(day.from, now) && to <= day.to)
    .sort((a, b) => a.from - b.from)
  return Promise.all(
    those.map(async (one) => {
      const { editionId, layerId, isFixed, personId } = one.booking
      const layer =
        editionId && layerId
          ? layerOf(await room.ledger.read<EditionState>(`edition:${editionId}`), layerId)
          : undefined
      return {
        ...one,
        run: layer ? runAtPress(layer, inkOf, press.divisions) : null,
        mayMove: layer !== undefined && !isFixed && (personId === id || isStaff(role)),
      }
    }),
  )
}

async function proposalFor(
  room: Pressroom,
  press: PressSummary,
  runs: readonly Booked[],
  now: number,
  inkOf: InkOf,
): Promise<OrderProposal | null> {
  const { factor, count } = await learntAt(room, press, inkOf)
  const standing = await standingAt(room, press, inkOf)
  const change = (before: number, next: number): ChangeOver => {
    const from = before < 0 ? standing : runs[before]!.run
    const to = runs[next]!.run
    if (!from || !to) return noChange
    const { wash, screws, packing } = changeOver(from, to)
    return { wash: wash * factor, screws: screws * factor, packing: packing * factor }
  }
  const between = (before: number, next: number) => Math.round(minutesOf(change(before, next)))
  const notBefore = await Promise.all(runs.map((one) => dryFrom(room, one.booking)))
  const asked: DayAsked = {
    start: Math.max(now, Math.min(...runs.map(({ from }) => from))),
    // Within the time that these bookings hold already: nobody is sent to an hour at which nobody was to be there.
    free: merged(runs),
    between,
    runs: runs.map(({ booking, from, to, mayMove }, i) => ({
      id: booking.bookingId,
      minutes: Math.max(leastRun, to - from - between(i - 1, i)),
      notBefore: notBefore[i]!,
      at: mayMove ? null : from,
    })),
  }
  const [best, given] = [orderOfDay(asked), inGivenOrder(asked)]
  return best && given && told(press.id, runs, best, given, change, count)
}

/** A layer cannot go on before the one beneath is dry: told by the sheets that wait for it. */
async function dryFrom(room: Pressroom, { editionId, layerId, from }: Booking): Promise<number | null> {
  if (!editionId || !layerId) return null
  const state = await room.ledger.read<EditionState>(`edition:${editionId}`)
  const before = state.layers[state.layers.findIndex(({ id }) => id === layerId) - 1]
  const isWet =
    before &&
    state.pulls.some((pull) => pull.layerId === before.id && isLive(pull)) &&
    state.sheets.some(({ dry, pulls }) => pulls.length > 0 && !dry.includes(before.id))
  // It was booked with its drying in mind: sooner is not proposed.
  return isWet ? Math.floor(Date.parse(from) / 60_000) : null
}

async function standingAt(
  room: Pressroom,
  { standing, divisions }: PressSummary,
  inkOf: InkOf,
): Promise<RunAtPress | null> {
  if (!standing) return null
  const layer = layerOf(await room.ledger.read<EditionState>(standing.editionStream), standing.layerId)
  return layer ? runAtPress(layer, inkOf, divisions, standing.setting) : null
}

function told(
  placeId: string,
  runs: readonly Booked[],
  best: DayOrder,
  given: DayOrder,
  change: (before: number, next: number) => ChangeOver,
  learntFrom: number,
): OrderProposal | null {
  const isOther = best.runs.some(({ id }, i) => id !== given.runs[i]!.id)
  const sooner = given.end - best.end
  const changesThen = best.changes
  if (!isOther || (sooner <= 0 && changesThen >= given.changes)) return null
  const placeOf = (id: string) => runs.findIndex(({ booking }) => booking.bookingId === id)
  return {
    placeId,
    changesNow: given.changes,
    changesThen,
    sooner,
    learntFrom,
    runs: best.runs.map(({ id }, i) => ({
      bookingId: id,
      ...change(i === 0 ? -1 : placeOf(best.runs[i - 1]!.id), placeOf(id)),
    })),
    moves: best.runs.flatMap(({ id, from, to }) => {
      const { booking, from: begun, to: ended } = runs[placeOf(id)]!
      return from === begun && to === ended
        ? []
        : [{ bookingId: booking.bookingId, placeId, from: instantOf(from), until: instantOf(to) }]
    }),
  }
}
