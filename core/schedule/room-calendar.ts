import { takenAt, spanOf } from '../calendar/free'
import { awaySpans, openSpans } from '../calendar/hours'
import type { CalendarState } from '../calendar/state'
import type { Racks } from '../timetable/racks'
import type { Span } from '../timetable/spans'
import type { Calendar } from '../timetable/task'
import { quarters } from './drying-lag'
import { type EditionTask, personOf, personResource, pressOf, pressResource } from './task'

/** So far ahead a timetable looks, minutes: half a year. */
export const lookedAhead = 26 * 7 * 24 * 60

/** The longest time the room is open in one go within the next fortnight, minutes; a whole day where it never shuts, and an hour where it is shut. */
export function longestOpen(room: CalendarState, now: number): number {
  const spans = openSpans(room, { from: now, to: now + 14 * 24 * 60 })
  return Math.min(24 * 60, Math.max(60, ...spans.map(({ from, to }) => to - from)))
}

/**
 * When the room, its presses and its people can be used, for a timetable: bookings that are none of the tasks are never
 * moved, and who is away is away.
 */
export function roomCalendar(room: CalendarState, tasks: readonly EditionTask[], racks: Racks, now: number): Calendar {
  const own = new Set(tasks.flatMap(({ bookingId }) => bookingId ?? []))
  const others = room.bookings.filter(({ bookingId }) => !own.has(bookingId))
  const taken = new Map<string, Span[]>()
  for (const task of tasks) {
    const pressId = pressOf(task)
    const personId = personOf(task)
    if (pressId !== null) taken.set(pressResource(pressId), takenAt(others, pressId))
    if (personId !== null)
      taken.set(personResource(personId), [
        ...awaySpans(room, personId),
        ...others.filter((one) => one.personId === personId).map(spanOf),
      ])
  }
  return { now: quarters(now), open: openSpans(room, { from: now, to: now + lookedAhead }), taken, racks }
}
