import { merged, type Span, without } from '../timetable/spans'
import { minuteOfLocal } from '../time/room-clock'
import { dayOf, daysAfter, type RoomDay, weekdayOf } from '../time/room-day'
import type { Closure, RoomHours } from './state'

interface Times extends RoomHours {
  closures: readonly Closure[]
}

/**
 * Hours in which the room is open, in minutes since 1970, closures taken out: by the room's own clock, so that the day on
 * which clocks change is as long as it is.
 */
export function openSpans(room: Times, { from, to }: Span): Span[] {
  const open = room.hours.length === 0 ? [{ from, to }] : openByTheWeek(room, { from, to })
  const closed = spansOf(
    room.closures.filter(({ personId }) => personId === null),
    room.timeZone,
  )
  return without(open, closed)
}

/** When a person is away. */
export function awaySpans({ closures, timeZone }: Times, personId: string): Span[] {
  return merged(
    spansOf(
      closures.filter((closure) => closure.personId === personId),
      timeZone,
    ),
  )
}

/** A closure by the clock, in minutes since 1970; of what is no time, nothing. */
export function spanOfClosure({ from, until }: Pick<Closure, 'from' | 'until'>, zone: string): Span | null {
  const begun = minuteOfLocal(from, zone)
  const end = minuteOfLocal(until, zone)
  return begun === null || end === null ? null : { from: begun, to: end }
}

const spansOf = (closures: readonly Closure[], zone: string): Span[] =>
  closures.flatMap((closure) => spanOfClosure(closure, zone) ?? [])

function openByTheWeek({ hours, timeZone: zone }: RoomHours, { from, to }: Span): Span[] {
  const spans: Span[] = []
  const last = dayOf(to * 60_000, zone)
  // The day before too: its night may reach into the first.
  for (let day = daysAfter(dayOf(from * 60_000, zone), -1); day <= last; day = daysAfter(day, 1)) {
    for (const { weekday, from: opens, until } of hours) {
      if (weekday !== weekdayOf(day)) continue
      const begun = onDay(day, opens, zone)
      const end = onDay(until <= opens ? daysAfter(day, 1) : day, until, zone)
      spans.push({ from: Math.max(from, begun), to: Math.min(to, end) })
    }
  }
  return merged(spans)
}

const onDay = (day: RoomDay, clock: string, zone: string): number => minuteOfLocal(`${day}T${clock}`, zone)!
