import { DateTime, IANAZone } from 'luxon'

/** True of a zone the room's clock can follow. */
export const isZone = (zone: string): boolean => IANAZone.isValidZone(zone)

/** Whole minutes since 1970 of an ISO instant. */
export const minuteOf = (iso: string): number => Math.round(Date.parse(iso) / 60_000)

/** The ISO instant of a minute since 1970. */
export const instantOf = (minute: number): string => new Date(minute * 60_000).toISOString()

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
