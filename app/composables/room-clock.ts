import { dayOf as roomDayOf, daysAfter } from '#core/time/room-day'
import { roomZone } from '~/format/room-zone'
import { type ComputedRef, computed } from 'vue'
import { instantOf, minuteOf } from '#core/time/instant'
import { isSkipped, localOf, minuteOfLocal } from '#core/time/room-clock'
import type { CalendarState } from '#core/calendar/state'

/** Times as the room's own clock shows them, wherever the reader is. */
export function useRoomClock(calendar: () => CalendarState | null) {
  const zone: ComputedRef<string> = computed(() => calendar()?.timeZone ?? roomZone.value)

  /** `2026-11-27` of an instant. */
  const dayOf = (iso: string) => roomDayOf(iso, zone.value)

  /** `18:30` of an instant. */
  const clockOf = (iso: string) => localOf(minuteOf(iso), zone.value).slice(11)

  /** The day so many days later. */
  const later = daysAfter

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
