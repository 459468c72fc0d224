import { type Instant, instantOf } from './instant'
import { aheadAt, dayOf, daysAfter, type RoomDay } from './room-day'
import type { Zone } from './zone'

const minute = 60_000
/** Longer than any zone is ahead of or behind another, so that a clock that changes that day has changed on one side. */
const aDay = 24 * 60 * minute

/** A day, or a time of a day; seconds are let through and mean nothing. */
const localForm = /^(\d{4}-\d\d-\d\d)(?:T(\d\d:\d\d)(?::\d\d(?:[.,]\d+)?)?)?$/

/**
 * The minute of a time by the room's clock. In the night the clocks go forward an hour is missing: a time in it is the
 * one an hour later; where an hour comes twice it is the first.
 * @param local `2026-12-24T18:30`, or a day alone for its beginning
 * @returns null for what is no time
 */
export function minuteOfLocal(local: string, zone: Zone): number | null {
  const [, day, clock = '00:00'] = localForm.exec(local) ?? []
  // Of a day that is not there, as 2026-02-30, the date is another.
  const face = Date.parse(`${day}T${clock}:00.000Z`)
  if (Number.isNaN(face) || new Date(face).toISOString().slice(0, 10) !== day) return null
  const before = face - aheadAt(face - aDay, zone)
  const after = face - aheadAt(face + aDay, zone)
  const shows = (time: number) => time + aheadAt(time, zone) === face
  const first = [Math.min(before, after), Math.max(before, after)].find(shows)
  return Math.round((first ?? before) / minute)
}

/** The instants between which days of the room lie, the last of them with its night: the day on which clocks change is as long as it is. */
export function spanOfDays(first: RoomDay, last: RoomDay, zone: Zone): { from: Instant; until: Instant } {
  const beginning = (day: RoomDay) => instantOf(minuteOfLocal(day, zone)!)
  return { from: beginning(first), until: beginning(daysAfter(last, 1)) }
}

/** Noon of a day of the room. */
export const noonOf = (day: RoomDay, zone: Zone): Instant => instantOf(minuteOfLocal(`${day}T12:00`, zone)!)

/** What the room's clock shows at a minute: `2026-12-24T18:30`. */
export const localOf = (at: number, zone: Zone): string =>
  new Date(at * minute + aheadAt(at * minute, zone)).toISOString().slice(0, 16)

const dayWords = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' })

/** The same as it is said: “Thursday 24 December, 18:30”. */
export function momentWords(at: number, zone: Zone): string {
  const local = localOf(at, zone)
  return `${dayWords.format(Date.parse(`${local}Z`))}, ${local.slice(11)}`
}

/** A stretch of time as it is said, the day once. */
export function spanWords({ from, to }: { from: number; to: number }, zone: Zone): string {
  const isOneDay = dayOf(from * minute, zone) === dayOf((to - 1) * minute, zone)
  return `${momentWords(from, zone)} to ${isOneDay ? localOf(to, zone).slice(11) : momentWords(to, zone)}`
}

/**
 * Whether a clock time is skipped that day, as in the night in which clocks go forward.
 * @example
 * isSkipped('2026-03-29T02:30', 'Europe/Oslo') // true
 */
export const isSkipped = (local: string, zone: Zone): boolean => {
  const at = minuteOfLocal(local, zone)
  return at !== null && local.length >= 16 && localOf(at, zone) !== local.slice(0, 16)
}
