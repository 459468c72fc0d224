import type { Drying, HourRange } from '#core/drying/moments'
import { daysBetween } from '#core/time/room-day'
import { dayIn, hourIn, shortWeekday } from '~/format/days'

const hour = 3600_000

/** A moment to come, or past, as one says it: “today 16:00”, “Sat 28 November”. */
export function dayWords(at: number, now: number): string {
  const days = daysBetween(dayIn(now), dayIn(at))
  const hours = `${String(hourIn(at)).padStart(2, '0')}:00`
  if (days === 0) return `today ${hours}`
  if (days === 1) return `tomorrow ${hours}`
  return Math.abs(days) < 4 ? `${shortWeekday(at)}, ${hours}` : shortWeekday(at)
}

/** Whether the next layer may be printed on it, in a sentence. */
export function overprintWords({ moments: { overprint }, latest }: Drying, since: number, now: number): string {
  const at = (hours: number) => dayWords(since + hours * hour, now)
  const hours = (now - since) / hour
  if (hours < overprint.from)
    return `Not yet: fit to print on from ${at(overprint.from)} at the earliest, by ${at(overprint.to)} at the latest.`
  if (hours < overprint.to)
    return `It may be fit to print on: touch a sheet. By ${at(overprint.to)} it is at the latest.`
  if (latest !== null && hours >= latest)
    return 'The film may have hardened so far that it refuses the next layer: prove on one sheet first.'
  return `Fit to print on${latest === null ? '' : `, until about ${at(latest)}: a film left to harden refuses the next layer`}.`
}

/** How far a moment is: not yet, perhaps, or surely. */
export function stageOf({ from, to }: HourRange, hours: number): 'not yet' | 'perhaps' | 'surely' {
  return hours < from ? 'not yet' : hours < to ? 'perhaps' : 'surely'
}
