import { minuteOf } from '#core/time/instant'
import type { EditionState } from '#core/edition/state'
import { streamId } from '#core/ground/envelope'
import type { CalendarReply, Place } from '#shared/replies/calendar'
import type { PersonReply, PressSummary, RackSummary } from '#shared/replies/replies'
import { notClosed, streamsListed, summariesOf } from '../database/summaries'
import { proposedOrders } from './day-orders'
import type { Pressroom } from './pressroom'
import { readOwnCalendar } from './room-zone'
import { readStations } from './stations'

/** Editions that are not closed, those of which something happened last. */
const mostEditions = 120

/** Every edition that is not closed, as it stands. */
export async function openEditions(room: Pressroom): Promise<EditionState[]> {
  const open = await streamsListed(room.db.reader, 'edition', { where: notClosed, limit: mostEditions })
  return Promise.all(open.map((stream) => room.ledger.read<EditionState>(stream)))
}

/** Presses, and stations that are used, by their names. */
async function placesOf(room: Pressroom, presses: readonly PressSummary[]): Promise<Place[]> {
  const stations = await readStations(room)
  const openAt = (id: string) => {
    const open = stations.find((one) => one.id === id)?.open
    return open ? { by: open.by, at: open.at } : null
  }
  const isPress = new Set(presses.map(({ id }) => id))
  return [
    ...presses.map(({ id, name }) => ({ id, name, isPress: true, open: openAt(id) })),
    ...stations
      .filter(({ id, isUsed, name }) => !isPress.has(id) && isUsed && name !== '')
      .map(({ id, name }) => ({ id, name, isPress: false, open: openAt(id) })),
  ].sort((a, b) => Number(b.isPress) - Number(a.isPress) || a.name.localeCompare(b.name))
}

/** Who has which place when, and how a day could be ordered better. */
export async function readCalendar(
  room: Pressroom,
  { from, until }: { from: string; until: string },
  person: Pick<PersonReply, 'id' | 'role'>,
  now: number,
): Promise<CalendarReply> {
  const [calendar, presses, racks, editions] = await Promise.all([
    readOwnCalendar(room),
    summariesOf<PressSummary>(room.db.reader, 'press'),
    summariesOf<RackSummary>(room.db.reader, 'rack'),
    openEditions(room),
  ])
  const day = { from: minuteOf(from), to: minuteOf(until) }
  return {
    calendar,
    places: await placesOf(room, presses),
    racks: racks
      .map(({ id, name, slots, lain }) => ({ id, name, slots, taken: lain.length }))
      .sort((a, b) => a.name.localeCompare(b.name)),
    editions: editions
      .map(({ stream, title, plan, artistId, printerIds, layers }) => ({
        id: streamId(stream),
        title,
        due: plan?.due ?? null,
        personIds: [...(artistId ? [artistId] : []), ...printerIds],
        layers: layers.map(({ id, name }, i) => ({ id, name: name || `layer ${i + 1}` })),
      }))
      .sort((a, b) => a.title.localeCompare(b.title)),
    orders: await proposedOrders(room, calendar, presses, day, Math.floor(now / 60_000), person),
  }
}
