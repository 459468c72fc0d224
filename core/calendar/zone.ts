import type { Zone } from '../time/zone'
import { type CalendarState, emptyCalendar } from './state'

/** The zone of a calendar that was never set. */
const unsaid = emptyCalendar().timeZone

/** A zone as it is kept when a person sets it: UTC by its other name, so that it differs from one never set. */
export const zoneToKeep = (zone: Zone): Zone => (zone === unsaid ? 'Etc/UTC' : zone)

/**
 * The zone whose days and hours the room keeps: as it was set, or as long as nobody set one that of the server, which
 * stands in the room.
 */
export const zoneOf = ({ timeZone, hours }: Pick<CalendarState, 'timeZone' | 'hours'>, here: Zone): Zone =>
  hours.length === 0 && timeZone === unsaid ? here : timeZone

/** The calendar by the clock of that zone. */
export const inZone = (calendar: CalendarState, zone: Zone): CalendarState =>
  calendar.timeZone === zone ? calendar : { ...calendar, timeZone: zone }
