import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { anyone, isStaff } from '../../ground/who'
import { station } from '../../station/stream'
import { press } from '../../stores/press/stream'
import { studio } from '../../stores/studio/stream'
import { placeFault } from '../bookable'
import { bookingFault } from '../booking-fault'
import { booked } from '../events/booked'
import type { BookingSaid, CalendarState } from '../state'
import { calendar } from '../stream'

interface Booked {
  bookings: BookingSaid[]
}

/** Places are booked, all of them or none: one by hand, or those a timetable proposes. */
export const book = defineAct(calendar, 'book', anyone, {
  needs: ({ bookings }: Booked) => ({
    room: studio.of(),
    presses: bookings.map(({ placeId }) => press.of(placeId)),
    stations: bookings.map(({ placeId }) => station.of(placeId)),
  }),
  events: [booked],
  rule: ({ calendar, room, presses, stations }, { bookings }: Booked, { personId, role, occurredAt }) => {
    if (bookings.length === 0) return refuse('nothing-booked', 'Say what is to be booked.', 'bookings')
    let seen: CalendarState = calendar
    for (const [i, one] of bookings.entries()) {
      if (one.personId !== personId && !isStaff(role))
        return refuse('not-theirs', 'Book for yourself; staff book for others.', 'personId')
      if (!room.people[one.personId]?.active)
        return refuse('unknown-person', 'That person is not in the pressroom any more. Reload the page.', 'personId')
      if (seen.bookings.some(({ bookingId }) => bookingId === one.bookingId))
        return refuse('booked-already', 'That is booked already.', 'bookings')
      const fault = placeFault(presses[i]!, stations[i]!, role) ?? bookingFault(seen, one, occurredAt)
      if (fault) return fault
      const held = { ...one, at: occurredAt, position: 0, by: personId, via: null }
      seen = { ...seen, bookings: [...seen.bookings, held] }
    }
    return bookings.map((one) => booked.on(calendar, one))
  },
})
