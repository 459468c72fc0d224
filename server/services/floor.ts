import { pluralise } from '#core/units/pluralise'
import { dayOf } from '#core/time/room-day'
import { spanOf } from '#core/calendar/free'
import { localOf } from '#core/time/room-clock'
import type { CalendarState } from '#core/calendar/state'
import { isStaff } from '#core/ground/who'
import type { Viewer } from '#core/house/who-sees'
import type { StudioState } from '#core/stores/studio/state'
import type { EditionSummary, FloorReply, PressSummary, TubSummary } from '#shared/replies/replies'
import { firstRecordedAt } from '../database/over-events'
import { summariesOf } from '../database/summaries'
import { linesFor, listEditions } from './editions'
import type { Pressroom } from './pressroom'
import { readOwnCalendar } from './room-zone'
import { readShort } from './short'
import { readStations } from './stations'

const sinceShown = 12 * 3600_000

/** What is happening now, and what waits for a person. */
export async function readFloor(room: Pressroom, viewer: Viewer, now: number): Promise<FloorReply> {
  const [list, stations, tubs, presses, calendar] = await Promise.all([
    listEditions(room, { limit: 200 }),
    readStations(room),
    summariesOf<TubSummary>(room.db.reader, 'tub'),
    summariesOf<PressSummary>(room.db.reader, 'press'),
    readOwnCalendar(room),
  ])
  const editions = linesFor(viewer, list.editions)
  const open = editions.filter((edition) => edition.state !== 'closed')
  const running = room.pulledLately
    .since(now - sinceShown)
    .flatMap((id) => open.find((edition) => edition.id === id && edition.unfinished > 0) ?? [])
  return {
    lateBackup: isStaff(viewer.role) ? await lateBackup(room, now) : null,
    asks: open
      .flatMap(({ id, title, asks }) => asks.map((ask) => ({ ...ask, editionId: id, title })))
      .sort((a, b) => a.at.localeCompare(b.at)),
    running,
    decisions: open.flatMap(decisionsFor),
    drying: open.flatMap(({ id, title, drying }) => (drying > 0 ? [{ editionId: id, title, sheets: drying }] : [])),
    short: await readShort(room, open, running),
    counts: (await room.db.reader.summaries.count({ where: { kind: 'edition' }, group: ['state'] })).map(
      ({ state, count }) => ({ state: state as string, editions: count }),
    ),
    sessions: stations
      .flatMap(({ id, name, open }) => (open ? [{ stationId: id, name, by: open.by, at: open.at }] : []))
      .sort((a, b) => a.at.localeCompare(b.at)),
    bookings: bookingsToday(calendar, Math.floor(now / 60_000)).map(
      ({ bookingId, placeId, personId, span, editionId }) => ({
        bookingId,
        place: [...presses, ...stations].find(({ id }) => id === placeId)?.name ?? '',
        personId,
        from: clock(span.from, calendar.timeZone),
        until: clock(span.to, calendar.timeZone),
        isNow: span.from * 60_000 <= now,
        title: editions.find(({ id }) => id === editionId)?.title ?? null,
      }),
    ),
    tasks: stations
      .flatMap(({ id, name, tasks }) => tasks.map((task) => ({ ...task, stationId: id, station: name })))
      .sort((a, b) => a.at.localeCompare(b.at)),
    tubs: tubs.flatMap(({ id, name, condition }) => (condition === 'clean' ? [] : [{ id, name, condition }])),
  }
}

/** Where backups are made by themselves, when the last good one is older than two days. */
async function lateBackup({ demo, db, ledger, backups }: Pressroom, now: number): Promise<FloorReply['lateBackup']> {
  const { backupsKept } = await ledger.read<StudioState>('studio')
  if (demo || backupsKept === 0) return null
  const first = await firstRecordedAt(db.reader)
  return await backups.late(now, first ? Date.parse(first) : now)
}

const clock = (minute: number, zone: string): string => localOf(minute, zone).slice(11)

/** Bookings of the room's own day that are not over, the next first. */
function bookingsToday({ bookings, timeZone }: CalendarState, now: number) {
  const day = (minute: number) => dayOf(minute * 60_000, timeZone)
  return bookings
    .map((booking) => ({ ...booking, span: spanOf(booking) }))
    .filter(({ span }) => span.to > now && day(span.from) <= day(now))
    .sort((a, b) => a.span.from - b.span.from)
}

type Waiting = FloorReply['decisions'][number]

/** What an edition waits for, the most pressing first. */
function decisionsFor(edition: EditionSummary): Waiting[] {
  const found: Waiting[] = []
  const add = (what: string, why: string, stop: string) =>
    found.push({ editionId: edition.id, title: edition.title, what, why, stop })
  if (edition.disputed > 0)
    add(
      `Settle ${edition.disputed} disputed ${edition.disputed === 1 ? 'pull' : 'pulls'} of ${edition.title}`,
      'They arrived late or took a sheet that was gone. Nothing is lost.',
      'pull',
    )
  if (!edition.balances) add(`Look at the count of ${edition.title}`, 'It does not balance.', 'pull')
  if (edition.state === 'numbering')
    add(
      `Curate and number ${edition.title}`,
      `${edition.good} good, ${edition.doubtful} doubtful of ${edition.goal} wanted.`,
      'curate',
    )
  if (edition.state === 'signing' && edition.signed < edition.numbered)
    add(`Sign ${edition.title}`, `${edition.signed} of ${edition.numbered} signed.`, 'sign')
  if (edition.state === 'signing' && edition.signed === edition.numbered)
    add(
      `Close ${edition.title}`,
      edition.numbered === 1 ? 'The print is signed.' : `All ${edition.numbered} prints are signed.`,
      'close',
    )
  if (edition.state === 'pulling' && edition.goal > 0 && edition.chance < 0.8)
    add(
      `Go on with ${edition.title}?`,
      `${pluralise(edition.alive, 'sheet')} alive for ${edition.goal}: chance ${Math.round(edition.chance * 100)} %.`,
      'pull',
    )
  return found
}
