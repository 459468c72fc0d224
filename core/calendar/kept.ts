import type { Happening } from '../ground/envelope'
import { minuteOf, minuteOfLocal } from './local-time'
import { type Booking, type CalendarState, type Closure, daysKept } from './state'

/** Without what ended long before the event that comes now: a calendar of years stays as small as one of months. */
export function keptAt(
  { timeZone, bookings, closures }: CalendarState,
  { occurredAt }: Happening,
): { bookings: Booking[]; closures: Closure[] } {
  const since = minuteOf(occurredAt) - daysKept * 24 * 60
  return {
    bookings: bookings.filter(({ until }) => minuteOf(until) > since),
    closures: closures.filter(({ until }) => (minuteOfLocal(until, timeZone) ?? 0) > since),
  }
}
