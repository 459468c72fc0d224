import { DateTime } from 'luxon'
import { merged, type Span, without } from '../timetable/spans'
import { minuteOfLocal } from '../time/room-clock'
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
  // The day before too: its night may reach into the first.
  let day = DateTime.fromMillis(from * 60_000, { zone })
    .startOf('day')
    .minus({ days: 1 })
  for (; day.toMillis() < to * 60_000; day = day.plus({ days: 1 })) {
    for (const { weekday, from: opens, until } of hours) {
      if (weekday !== day.weekday) continue
      const begun = onDay(day, opens)
      const end = onDay(until <= opens ? day.plus({ days: 1 }) : day, until)
      spans.push({ from: Math.max(from, begun), to: Math.min(to, end) })
    }
  }
  return merged(spans)
}

function onDay(day: DateTime, clock: string): number {
  const [hour, minute] = clock.split(':').map(Number) as [number, number]
  return Math.round(day.set({ hour, minute }).toMillis() / 60_000)
}
