/** A moment as it is sent and stored: UTC, to the millisecond, `2026-11-02T09:30:00.000Z`. */
export type Instant = string

const written = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/

/**
 * True of a moment written in the one way there is: what `toISOString` gives, of a day the calendar has.
 * @example
 * isInstant('2026-11-02T09:30:00Z') // false
 */
export function isInstant(text: unknown): text is Instant {
  if (typeof text !== 'string' || !written.test(text)) return false
  const time = Date.parse(text)
  return !Number.isNaN(time) && new Date(time).toISOString() === text
}

/** The moment within two bounds that is nearest to one; the earlier bound where they are the wrong way round. */
export function clampInstant(at: Instant, earliest: Instant, latest: Instant): Instant {
  if (at < earliest || latest < earliest) return earliest
  return at > latest ? latest : at
}

/** Whole minutes since 1970 of an instant. */
export const minuteOf = (at: Instant): number => Math.round(Date.parse(at) / 60_000)

/** The instant of a minute since 1970. */
export const instantOf = (minute: number): Instant => new Date(minute * 60_000).toISOString()

/** The instant so many ms since 1970. */
export const instantAt = (time: number): Instant => new Date(time).toISOString()
