const written = /^\d{4}-\d\d-\d\d$/

/**
 * True of a day written `2026-11-02` that the calendar has: no 31 February, no week date, no year of five digits.
 * @example
 * isDay('2026-02-31') // false
 */
export function isDay(text: unknown): text is string {
  if (typeof text !== 'string' || !written.test(text)) return false
  const time = Date.parse(`${text}T00:00:00.000Z`)
  return !Number.isNaN(time) && new Date(time).toISOString().slice(0, 10) === text
}

const dayLength = 86_400_000
const dayAt = (time: number): string => new Date(time).toISOString().slice(0, 10)

/**
 * The day meant by a text that earlier versions accepted as a date: a week date, a day of the year, a date with a time
 * behind it, a day beyond its month's end (the month's last day then).
 * @returns null where no day can be read
 * @example
 * readOldDay('2026-W49-2') // '2026-12-01'
 */
export function readOldDay(text: unknown): string | null {
  if (typeof text !== 'string') return null
  if (isDay(text)) return text
  const plain = /^(\d{4})-(\d\d)-(\d\d)/.exec(text)
  if (plain) return lastOfMonth(Number(plain[1]), Number(plain[2]), Number(plain[3]))
  const ofYear = /^(\d{4})-?(\d{3})(?!\d)/.exec(text)
  if (ofYear) return dayAt(Date.UTC(Number(ofYear[1]), 0, 1) + (Number(ofYear[2]) - 1) * dayLength)
  const ofWeek = /^(\d{4})-?W(\d\d)(?:-?([1-7]))?/.exec(text)
  if (ofWeek) return ofIsoWeek(Number(ofWeek[1]), Number(ofWeek[2]), Number(ofWeek[3] ?? 1))
  return null
}

function lastOfMonth(year: number, month: number, day: number): string | null {
  if (month < 1 || month > 12 || day < 1) return null
  const last = new Date(Date.UTC(year, month, 0)).getUTCDate()
  return dayAt(Date.UTC(year, month - 1, Math.min(day, last)))
}

/** ISO 8601: week 1 is the one with 4 January in it, and weeks begin on Monday. */
function ofIsoWeek(year: number, week: number, weekday: number): string {
  const fourth = Date.UTC(year, 0, 4)
  const monday = fourth - ((new Date(fourth).getUTCDay() + 6) % 7) * dayLength
  return dayAt(monday + ((week - 1) * 7 + weekday - 1) * dayLength)
}
