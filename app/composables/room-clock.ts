import { type ComputedRef, computed } from 'vue'
import { instantOf, isSkipped, localOf, minuteOf, minuteOfLocal } from '#core/calendar/local-time'
import type { CalendarState } from '#core/calendar/state'

const minutesADay = 24 * 60

/** Times as the room's own clock shows them, wherever the reader is. */
export function useRoomClock(calendar: () => CalendarState | null) {
  const zone: ComputedRef<string> = computed(
    () => calendar()?.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone,
  )

  /** `2026-11-27` of an instant. */
  const dayOf = (iso: string) => localOf(minuteOf(iso), zone.value).slice(0, 10)

  /** `18:30` of an instant. */
  const clockOf = (iso: string) => localOf(minuteOf(iso), zone.value).slice(11)

  /** The day so many days later. */
  const later = (day: string, days: number) =>
    new Date(Date.parse(`${day}T00:00:00Z`) + days * minutesADay * 60_000).toISOString().slice(0, 10)

  /** Its first minute and the first of the next, since 1970. */
  const spanOfDay = (day: string) => ({
    from: minuteOfLocal(day, zone.value) ?? 0,
    to: minuteOfLocal(later(day, 1), zone.value) ?? 0,
  })

  /** The instants of a span by the clock; one that ends at or before its beginning ends the next day. */
  function instants(day: string, from: string, until: string): { from: string; until: string } {
    const end = until <= from ? later(day, 1) : day
    return {
      from: instantOf(minuteOfLocal(`${day}T${from}`, zone.value) ?? 0),
      until: instantOf(minuteOfLocal(`${end}T${until}`, zone.value) ?? 0),
    }
  }

  /** What is odd about a time that day, or empty: the hour that is missing when clocks go forward. */
  const oddTime = (day: string, clock: string) =>
    isSkipped(`${day}T${clock}`, zone.value) ? `Clocks go forward that night: there is no ${clock}.` : ''

  return { zone, dayOf, clockOf, later, spanOfDay, instants, oddTime }
}
