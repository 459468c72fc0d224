import { mostBookings } from '../state'
import { Ids } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { anyone, isStaff } from '../../ground/who'
import { calendar } from '../stream'

const bookingCancelled = defineEvent(calendar, 'booking-cancelled', (state, { bookingId }: { bookingId: string }) =>
  changed(state, { bookings: state.bookings.filter((one) => one.bookingId !== bookingId) }),
)

class Cancelled {
  static readonly sample: Cancelled = { bookingIds: ['k'] }

  @Ids('booking', mostBookings) bookingIds!: string[]
}

/** Bookings are given back, by whose they are, or by staff. */
export const cancelBookings = defineAct(calendar, 'cancel-bookings', Cancelled, anyone, {
  events: [bookingCancelled],
  rule: ({ calendar }, { bookingIds }, { personId, role }) => {
    if (bookingIds.length === 0) return refuse('nothing-booked', 'Say what is to be given back.', 'bookingIds')
    for (const [i, id] of bookingIds.entries()) {
      const own = calendar.bookings.find(({ bookingId }) => bookingId === id)
      if (!own || bookingIds.indexOf(id) < i)
        return refuse('unknown-booking', 'That booking is gone already.', 'bookingIds')
      if (own.personId !== personId && !isStaff(role))
        return refuse('not-theirs', 'Whose booking it is gives it back, or staff.', 'bookingIds')
    }
    return bookingIds.map((bookingId) => bookingCancelled.on(calendar, { bookingId }))
  },
})
