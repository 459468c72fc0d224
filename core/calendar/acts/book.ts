import { Parts } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { edition } from '../../edition/stream'
import { isNamed } from '../../edition/who'
import { refuse } from '../../ground/refusal'
import { anyone, isStaff } from '../../ground/who'
import { station } from '../../station/stream'
import { press } from '../../stores/press/stream'
import type { StudioState } from '../../stores/studio/state'
import { studio } from '../../stores/studio/stream'
import { placeFault } from '../bookable'
import { bookingFault } from '../booking-fault'
import { booked } from '../events/booked'
import { longPast } from '../kept'
import { minuteOf } from '../../time/instant'
import { BookingSaid, type CalendarState, mostBookings } from '../state'
import { calendar } from '../stream'
import { inZone } from '../zone'

class Booked {
  static readonly sample: Booked = {
    bookings: [
      {
        bookingId: 'k',
        placeId: 'p',
        personId: 'p',
        from: '2026-11-03T09:00:00.000Z',
        until: '2026-11-03T12:00:00.000Z',
        editionId: 'e1',
        layerId: 'l',
        isFixed: false,
        note: '',
      },
    ],
  }

  @Parts(() => BookingSaid, mostBookings) bookings!: BookingSaid[]
}

/** Why somebody has booked enough already, or null: nobody keeps the room to themselves where staff set a bound. */
function hoursFault(calendar: CalendarState, { bookedHours }: StudioState, wish: BookingSaid, now: string) {
  if (bookedHours === 0) return null
  const ahead = calendar.bookings.filter(({ personId, until }) => personId === wish.personId && until > now)
  const minutes = [...ahead, wish].reduce((sum, { from, until }) => sum + minuteOf(until) - minuteOf(from), 0)
  return minutes <= bookedHours * 60
    ? null
    : refuse(
        'booked-enough',
        `One person books ${bookedHours} hours ahead at most here; with this it would be ${Math.ceil(minutes / 6) / 10}. Give a booking back, or ask staff.`,
        'until',
      )
}

const editionsOf = (bookings: readonly BookingSaid[]) =>
  [...new Set(bookings.flatMap(({ editionId }) => editionId ?? []))].map((id) => edition.of(id))

/** Places are booked, all of them or none: one by hand, or those a timetable proposes. */
export const book = defineAct(calendar, 'book', Booked, anyone, {
  needs: ({ bookings }) => ({
    room: studio.of(),
    presses: bookings.map(({ placeId }) => press.of(placeId)),
    stations: bookings.map(({ placeId }) => station.of(placeId)),
    editions: editionsOf(bookings),
  }),
  events: [booked],
  rule: ({ calendar, room, presses, stations, editions }, { bookings }, { personId, role, occurredAt, zone }) => {
    if (bookings.length === 0) return refuse('nothing-booked', 'Say what is to be booked.', 'bookings')
    const others = editions.find((one) => one.plan !== null && !isStaff(role) && !isNamed(one, personId))
    if (others)
      return refuse(
        'not-theirs',
        `${others.title} is another’s edition. Book for one of your own, or without naming an edition.`,
        'editionId',
      )
    let seen = inZone(calendar, zone)
    for (const [i, one] of bookings.entries()) {
      if (one.personId !== personId && !isStaff(role))
        return refuse('not-theirs', 'Book for yourself; staff book for others.', 'personId')
      if (!room.people[one.personId]?.active)
        return refuse('unknown-person', 'That person is not in the pressroom any more. Reload the page.', 'personId')
      if (seen.bookings.some(({ bookingId }) => bookingId === one.bookingId))
        return refuse('booked-already', 'That is booked already.', 'bookings')
      const fault =
        placeFault(presses[i]!, stations[i]!, role) ??
        bookingFault(seen, one, occurredAt) ??
        (isStaff(role) ? null : hoursFault(seen, room, one, occurredAt))
      if (fault) return fault
      const held = { ...one, at: occurredAt, position: 0, by: personId, via: null }
      seen = { ...seen, bookings: [...seen.bookings, held] }
    }
    const forgotten = longPast(inZone(calendar, zone), occurredAt)
    return bookings.map((one, i) => booked.on(calendar, { ...one, ...(i === 0 && forgotten ? { forgotten } : {}) }))
  },
})
