import type { Instant } from './instant'
import type { Zone } from './zone'

/** A day by the calendar of the room, `2026-11-02`. There is no other kind of day in rules, charges and records. */
export type RoomDay = string

/** Clocks are put forward and back on a quarter of an hour: the day and hour of a moment are those of its quarter. ms */
const steady = 15 * 60_000
/** Quarters of an hour that are remembered: the pulls of a year fall on some thousands. */
const mostKnown = 20_000

interface ZoneDays {
  format: Intl.DateTimeFormat
  known: Map<number, string>
}

const zones = new Map<Zone, ZoneDays>()

/** What the zone's clock shows to the minute, of a zone nobody knows what UTC's does: `2026-11-02 18:30`. */
function daysOf(zone: Zone): ZoneDays {
  const found = zones.get(zone)
  if (found) return found
  const shown = { dateStyle: 'short', timeStyle: 'short' } as const
  let format: Intl.DateTimeFormat
  try {
    format = new Intl.DateTimeFormat('sv-SE', { ...shown, timeZone: zone })
  } catch {
    format = new Intl.DateTimeFormat('sv-SE', { ...shown, timeZone: 'UTC' })
  }
  const days = { format, known: new Map() }
  zones.set(zone, days)
  return days
}

/** The beginning of the quarter of an hour, as the zone's clock shows it: a formatter is slow, and many moments share one. */
function shown(time: number, zone: Zone): string {
  const { format, known } = daysOf(zone)
  const quarter = Math.floor(time / steady)
  const found = known.get(quarter)
  if (found !== undefined) return found
  if (known.size >= mostKnown) known.clear()
  const text = format.format(quarter * steady)
  known.set(quarter, text)
  return text
}

/** By how much the zone's clock is ahead of UTC at a time, ms: changes fall on quarters of an hour. */
export function aheadAt(time: number, zone: Zone): number {
  const quarter = Math.floor(time / steady) * steady
  return Date.parse(`${shown(quarter, zone).replace(' ', 'T')}:00.000Z`) - quarter
}

const timeOf = (at: Instant | number): number => (typeof at === 'number' ? at : Date.parse(at))

/**
 * The day a moment falls on in the room. @param at an instant, or ms since 1970
 * @example
 * dayOf('2026-11-02T23:30:00.000Z', 'Europe/Oslo') // '2026-11-03'
 */
export const dayOf = (at: Instant | number, zone: Zone): RoomDay => shown(timeOf(at), zone).slice(0, 10)

/** The hour of the day a moment falls in, 0 to 23. */
export const hourOf = (at: Instant | number, zone: Zone): number => Number(shown(timeOf(at), zone).slice(11, 13))

/**
 * The day so many days later, or earlier.
 * @example
 * daysAfter('2026-02-28', 1) // '2026-03-01'
 */
export function daysAfter(day: RoomDay, days: number): RoomDay {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number]
  return new Date(Date.UTC(year, month - 1, date + days)).toISOString().slice(0, 10)
}

/** Days from one to another: 0 for the same, less than 0 where it lies before. */
export const daysBetween = (from: RoomDay, to: RoomDay): number =>
  Math.round((Date.parse(`${to}T00:00:00.000Z`) - Date.parse(`${from}T00:00:00.000Z`)) / 86_400_000)

/**
 * The weekday of a day, Monday 1 to Sunday 7.
 * @example
 * weekdayOf('2026-11-02') // 1
 */
export const weekdayOf = (day: RoomDay): number => ((new Date(`${day}T00:00:00.000Z`).getUTCDay() + 6) % 7) + 1

/** The day of a time by the room's clock, `2026-12-24T18:30`. */
export const dayOfLocal = (local: string): RoomDay => local.slice(0, 10)
