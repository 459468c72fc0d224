import { definePlainAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { anyone, isStaff } from '../../ground/who'
import { station } from '../../station/stream'
import { press } from '../../stores/press/stream'
import { placeFault } from '../bookable'
import { bookingFault } from '../booking-fault'
import type { CalendarState, Move } from '../state'
import { calendar } from '../stream'
import { inZone } from '../zone'

interface Moving {
  moves: Move[]
}

const bookingMoved = defineEvent(calendar, 'booking-moved', (state, { bookingId, ...to }: Move) =>
  changed(state, {
    bookings: state.bookings.map((one) => (one.bookingId === bookingId ? { ...one, ...to } : one)),
  }),
)

/** Bookings change their time or place, all of them or none: one by hand, or a day’s in another order. */
export const moveBookings = definePlainAct(calendar, 'move-bookings', anyone, {
  needs: ({ moves }: Moving) => ({
    presses: moves.map(({ placeId }) => press.of(placeId)),
    stations: moves.map(({ placeId }) => station.of(placeId)),
  }),
  events: [bookingMoved],
  rule: ({ calendar, presses, stations }, { moves }: Moving, { personId, role, occurredAt, zone }) => {
    if (moves.length === 0) return refuse('nothing-booked', 'Say what is to be moved.', 'moves')
    const moving = new Set(moves.map(({ bookingId }) => bookingId))
    if (moving.size < moves.length) return refuse('moved-twice', 'A booking is moved to one time.', 'moves')
    let seen: CalendarState = {
      ...inZone(calendar, zone),
      bookings: calendar.bookings.filter(({ bookingId }) => !moving.has(bookingId)),
    }
    for (const [i, move] of moves.entries()) {
      const own = calendar.bookings.find(({ bookingId }) => bookingId === move.bookingId)
      if (!own) return refuse('unknown-booking', 'That booking is gone. Look at the day again.', 'moves')
      if (own.personId !== personId && !isStaff(role))
        return refuse('not-theirs', 'Whose booking it is moves it, or staff.', 'moves')
      const moved = { ...own, ...move }
      const fault = placeFault(presses[i]!, stations[i]!, role) ?? bookingFault(seen, moved, occurredAt)
      if (fault) return fault
      seen = { ...seen, bookings: [...seen.bookings, moved] }
    }
    return moves.map((move) => bookingMoved.on(calendar, move))
  },
})
