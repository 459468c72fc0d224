import { Parts } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { anyone, isStaff } from '../../ground/who'
import { station } from '../../station/stream'
import { press } from '../../stores/press/stream'
import { placeFault } from '../bookable'
import { bookingFault } from '../booking-fault'
import { type CalendarState, mostBookings, Move } from '../state'
import { calendar } from '../stream'
import { inZone } from '../zone'

class Moving {
  static readonly sample: Moving = {
    moves: [{ bookingId: 'k', placeId: 'p', from: '2026-11-03T13:00:00.000Z', until: '2026-11-03T15:00:00.000Z' }],
  }

  @Parts(() => Move, mostBookings) moves!: Move[]
}

const bookingMoved = defineEvent(calendar, 'booking-moved', (state, { bookingId, ...to }: Move) =>
  changed(state, {
    bookings: state.bookings.map((one) => (one.bookingId === bookingId ? { ...one, ...to } : one)),
  }),
)

/** Bookings change their time or place, all of them or none: one by hand, or a day’s in another order. */
export const moveBookings = defineAct(calendar, 'move-bookings', Moving, anyone, {
  needs: ({ moves }) => ({
    presses: moves.map(({ placeId }) => press.of(placeId)),
    stations: moves.map(({ placeId }) => station.of(placeId)),
  }),
  events: [bookingMoved],
  rule: ({ calendar, presses, stations }, { moves }, { personId, role, occurredAt, zone }) => {
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
