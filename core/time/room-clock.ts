import { DateTime } from 'luxon'
import { type Instant, instantOf } from './instant'
import { daysAfter, type RoomDay } from './room-day'
import type { Zone } from './zone'

/**
 * The minute of a time by the room's clock. In the night the clocks go forward an hour is missing: a time in it is the
 * one an hour later; where an hour comes twice it is the first.
 * @param local `2026-12-24T18:30`, or a day alone for its beginning
 * @returns null for what is no time
 */
export function minuteOfLocal(local: string, zone: string): number | null {
  const time = DateTime.fromISO(local, { zone, setZone: false })
  return time.isValid ? Math.round(time.toMillis() / 60_000) : null
}

/** The instants between which days of the room lie, the last of them with its night: the day on which clocks change is as long as it is. */
export function spanOfDays(first: RoomDay, last: RoomDay, zone: Zone): { from: Instant; until: Instant } {
  const beginning = (day: RoomDay) => instantOf(minuteOfLocal(day, zone)!)
  return { from: beginning(first), until: beginning(daysAfter(last, 1)) }
}

/** Noon of a day of the room. */
export const noonOf = (day: RoomDay, zone: Zone): Instant => instantOf(minuteOfLocal(`${day}T12:00`, zone)!)

/** What the room's clock shows at a minute: `2026-12-24T18:30`. */
export const localOf = (minute: number, zone: string): string => at(minute, zone).toFormat("yyyy-MM-dd'T'HH:mm")

/** The same as it is said: “Thursday 24 December, 18:30”. */
export const momentWords = (minute: number, zone: string): string =>
  at(minute, zone).toFormat('cccc d LLLL, HH:mm', { locale: 'en-GB' })

/** A stretch of time as it is said, the day once. */
export function spanWords({ from, to }: { from: number; to: number }, zone: string): string {
  const end = at(to, zone)
  const sameDay = at(from, zone).hasSame(at(to - 1, zone), 'day')
  return `${momentWords(from, zone)} to ${sameDay ? end.toFormat('HH:mm') : momentWords(to, zone)}`
}

/** Whether a clock time is skipped that day, as in the night in which clocks go forward. */
export const isSkipped = (local: string, zone: string): boolean => {
  const minute = minuteOfLocal(local, zone)
  return minute !== null && local.length >= 16 && localOf(minute, zone) !== local.slice(0, 16)
}

const at = (minute: number, zone: string) => DateTime.fromMillis(minute * 60_000, { zone, locale: 'en-GB' })
