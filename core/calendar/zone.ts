import type { Zone } from '../time/zone'
import { type CalendarState, emptyCalendar } from './state'

/** What a calendar says of which nobody said anything. */
const unsaid = emptyCalendar().timeZone

/** A zone as it is kept once somebody said it: the same clock, by a name of its own where it is the one of nobody. */
export const saidZone = (zone: Zone): Zone => (zone === unsaid ? 'Etc/UTC' : zone)

/**
 * The zone whose days and hours the room keeps: as it was set, or as long as nobody set one that of the server, which
 * stands in the room.
 */
export const zoneOf = ({ timeZone, hours }: Pick<CalendarState, 'timeZone' | 'hours'>, here: Zone): Zone =>
  hours.length === 0 && timeZone === unsaid ? here : timeZone

/** The calendar by the clock of that zone. */
export const inZone = (calendar: CalendarState, zone: Zone): CalendarState =>
  calendar.timeZone === zone ? calendar : { ...calendar, timeZone: zone }
