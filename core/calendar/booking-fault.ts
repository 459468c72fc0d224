import { type Refused, refuse } from '../ground/refusal'
import type { Span } from '../timetable/spans'
import { without } from '../timetable/spans'
import { nearestFree, spanOf } from './free'
import { awaySpans, openSpans } from './hours'
import { minuteOf } from '../time/instant'
import { spanWords } from '../time/room-clock'
import type { BookingSaid, CalendarState } from './state'

/** Nobody stands at a press longer. */
export const mostMinutes = 24 * 60

type Wish = Pick<BookingSaid, 'placeId' | 'personId' | 'from' | 'until'>

/**
 * Why a place cannot be booked so, or null: the room is closed, the person away, or somebody has it; with the nearest span that is
 * free.
 * @param calendar without the booking itself
 * @param occurredAt now, ISO
 */
export function bookingFault(calendar: CalendarState, wish: Wish, occurredAt: string): Refused | null {
  const span = spanOf(wish)
  const now = minuteOf(occurredAt)
  if (!(span.to > span.from)) return refuse('ends-before', 'A booking ends after it begins. Give a later end.', 'until')
  if (span.to - span.from > mostMinutes)
    return refuse('too-long', 'A booking is at most 24 hours. Make two of it.', 'until')
  if (span.to <= now) return refuse('is-past', 'That time is past. Book one that is still to come.', 'from')
  const refused = (code: string, why: string) => refuse(code, `${why}. ${offer(calendar, wish, span, now)}`, 'from')
  const clash = calendar.bookings
    .filter(({ placeId }) => placeId === wish.placeId)
    .map(spanOf)
    .find(({ from, to }) => from < span.to && span.from < to)
  if (clash) return refused('taken', `It is booked already from ${spanWords(clash, calendar.timeZone)}`)
  const closed = without([span], openSpans(calendar, span))[0]
  if (closed) return refused('room-closed', `The room is closed from ${spanWords(closed, calendar.timeZone)}`)
  const away = awaySpans(calendar, wish.personId).find(({ from, to }) => from < span.to && span.from < to)
  if (away) return refused('is-away', 'Whose booking it is is away then')
  return null
}

function offer(calendar: CalendarState, { placeId, personId }: Wish, span: Span, now: number): string {
  const free = nearestFree(calendar, { ...span, placeId, personId, now })
  return free
    ? `The nearest that is free is ${spanWords(free, calendar.timeZone)}.`
    : 'Nothing as long is free within two months: book a shorter time.'
}
