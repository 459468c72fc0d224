import { firstFit, lastFit, type Span, without } from '../timetable/spans'
import { awaySpans, openSpans } from './hours'
import { minuteOf } from '../time/instant'
import type { Booking, CalendarState } from './state'

const day = 24 * 60

/** So far to either side a free span is looked for. */
const lookedFor = 60 * day

export const spanOf = ({ from, until }: Pick<Booking, 'from' | 'until'>): Span => ({
  from: minuteOf(from),
  to: minuteOf(until),
})

/** Bookings of a place, as spans. */
export const takenAt = (bookings: readonly Booking[], placeId: string): Span[] =>
  bookings.filter((booking) => booking.placeId === placeId).map(spanOf)

interface Wanted extends Span {
  placeId: string
  personId: string
  /** Nothing that begins before is offered. */
  now: number
}

/**
 * The free span of the same length that begins nearest to the one wanted, the later of two as near; null when none is
 * free within two months.
 */
export function nearestFree(calendar: CalendarState, { from, to, placeId, personId, now }: Wanted): Span | null {
  const around = { from: Math.max(now, from - lookedFor), to: to + lookedFor }
  const free = without(openSpans(calendar, around), [
    ...takenAt(calendar.bookings, placeId),
    ...awaySpans(calendar, personId),
  ])
  const minutes = to - from
  const later = firstFit([free], minutes, from)
  const earlier = lastFit(free, minutes, to)
  const starts = [later, earlier].filter((start) => start !== null)
  if (starts.length === 0) return null
  const start = starts.reduce((best, one) => (Math.abs(one - from) < Math.abs(best - from) ? one : best))
  return { from: start, to: start + minutes }
}
