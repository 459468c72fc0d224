import { instantAt } from '#core/time/instant'
import { instantOf } from '#core/time/instant'
import { minuteOfLocal } from '#core/time/room-clock'
import { spanOf } from '#core/calendar/free'
import type { EditionState } from '#core/edition/state'
import { streamId } from '#core/ground/envelope'
import { goal } from '#core/plan/plan'
import { dryingNow } from '#core/schedule/drying-lag'
import { type Around, editionTasks } from '#core/schedule/edition-tasks'
import { longestOpen } from '#core/schedule/room-calendar'
import { placesIn } from '#core/stores/rack/state'
import type { StudioState } from '#core/stores/studio/state'
import type { TimetableReply } from '#shared/replies/calendar'
import type { BatchSummary, EditionSummary, LotSummary, PressSummary, RackSummary } from '#shared/replies/replies'
import { summariesOf } from '../database/summaries'
import { openEditions } from './calendar'
import { listEditions } from './editions'
import type { Pressroom } from './pressroom'
import { readOwnCalendar } from './room-zone'

/** What is to be done for every edition that is not closed; the browser places it. */
export async function readTimetable(room: Pressroom, at: number): Promise<TimetableReply> {
  const { reader } = room.db
  const [calendar, studio, presses, batches, lots, racks, editions, listed] = await Promise.all([
    readOwnCalendar(room),
    room.ledger.read<StudioState>('studio'),
    summariesOf<PressSummary>(reader, 'press'),
    summariesOf<BatchSummary>(reader, 'batch'),
    summariesOf<LotSummary>(reader, 'lot'),
    summariesOf<RackSummary>(reader, 'rack'),
    openEditions(room),
    listEditions(room, { limit: 200 }),
  ])
  const now = Math.floor(at / 60_000)
  const iso = instantOf(now)
  const families = new Map(batches.map(({ id, family }) => [id, family]))
  const damp = new Set(lots.flatMap(({ id, damp }) => (damp ? [id] : [])))
  // What the list has reckoned already is not reckoned again for every look.
  const summaries = new Map(listed.editions.map((one) => [one.id, one]))
  const longest = longestOpen(calendar, now)
  const places = racks.length > 0 ? placesIn(racks) : null
  const around = (state: EditionState): Around => ({
    now,
    longestOpen: longest,
    due: state.plan?.due ? minuteOfLocal(`${state.plan.due}T23:59`, calendar.timeZone) : null,
    toStart: startOf(state, summaries.get(streamId(state.stream))),
    pressIds: pressesFor(state, presses),
    booked: calendar.bookings
      .filter(({ editionId, until }) => editionId === streamId(state.stream) && until > iso)
      .map((one) => ({ ...spanOf(one), bookingId: one.bookingId, layerId: one.layerId })),
    record: room.passBook.recordFor(state.stream),
    places,
    room: {
      familyOf: (id) => families.get(id) ?? null,
      climate: studio.climate,
      isDamp: damp.has(state.piece?.lotId ?? ''),
    },
    touch: room.passBook.recordFor(state.stream).touch,
  })
  return {
    at: instantAt(at),
    calendar,
    tasks: editions.flatMap((state) => editionTasks(state, around(state))),
    editions: editions.map((state) => ({
      id: streamId(state.stream),
      title: state.title,
      due: state.plan?.due ?? null,
      prints: state.plan ? goal(state.plan) : 0,
      personIds: [...(state.artistId ? [state.artistId] : []), ...state.printerIds],
    })),
    presses: presses.map(({ id, name }) => ({ id, name })).sort((a, b) => a.name.localeCompare(b.name)),
    racks: {
      slots: places,
      lying: editions.flatMap((state) => dryingNow(state, now, around(state))),
    },
  }
}

/** Sheets to start while none is torn, as Paper tears them: the printer's number, or the room's. */
const startOf = ({ plan, made }: EditionState, summary: EditionSummary | undefined): number =>
  plan === null || made > 0 ? 0 : (summary?.toStart?.sheets ?? goal(plan))

/** The press that was set for any of its layers first, then every other by name. */
function pressesFor({ layers }: EditionState, presses: readonly PressSummary[]): string[] {
  const used = layers.flatMap(({ setups }) => setups.map(({ setup }) => setup.pressId)).reverse()
  const known = new Set(presses.map(({ id }) => id))
  const byName = [...presses].sort((a, b) => a.name.localeCompare(b.name)).map(({ id }) => id)
  return [...new Set([...used.filter((id) => known.has(id)), ...byName])]
}
