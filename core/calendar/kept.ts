import { minuteOf } from '../time/instant'
import { minuteOfLocal } from '../time/room-clock'
import { type Booking, type CalendarState, type Closure, daysKept } from './state'

/** What ended long ago and is left to the ledger from an event on, by id: the event says it, so that no clock decides it later. */
export interface Forgotten {
  bookings: string[]
  closures: string[]
}

/**
 * What of the calendar ended long before now: a calendar of years stays as small as one of months.
 * @param now ISO instant, as the server vouches for it
 * @returns undefined where nothing did
 */
export function longPast({ timeZone, bookings, closures }: CalendarState, now: string): Forgotten | undefined {
  const since = minuteOf(now) - daysKept * 24 * 60
  const gone = {
    bookings: bookings.filter(({ until }) => minuteOf(until) <= since).map(({ bookingId }) => bookingId),
    closures: closures.filter(({ until }) => (minuteOfLocal(until, timeZone) ?? 0) <= since).map(({ id }) => id),
  }
  return gone.bookings.length + gone.closures.length > 0 ? gone : undefined
}

/** Bookings and closures without those that an event says are forgotten. */
export function withoutForgotten(
  { bookings, closures }: CalendarState,
  forgotten: Forgotten | undefined,
): { bookings: Booking[]; closures: Closure[] } {
  if (!forgotten) return { bookings, closures }
  const gone = { bookings: new Set(forgotten.bookings), closures: new Set(forgotten.closures) }
  return {
    bookings: bookings.filter(({ bookingId }) => !gone.bookings.has(bookingId)),
    closures: closures.filter(({ id }) => !gone.closures.has(id)),
  }
}
