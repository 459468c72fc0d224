import { scaleLinear } from 'd3-scale'
import type { Booking, CalendarState, Opening } from '#core/calendar/state'
import { spanOf } from '#core/calendar/free'
import { openSpans } from '#core/calendar/hours'
import { localOf } from '#core/time/room-clock'
import { type Span, without } from '#core/timetable/spans'
import { meetingWords } from './class-words'
import { listed } from './words'

/** Shown where the room says no hours: by its own clock. */
const usual = { from: 8, to: 22 }
const hour = 60

/** A stretch along the day, in per cent of its width. */
export interface Along {
  left: number
  width: number
}

export interface DayDrawn {
  /** What is shown of the day, minutes since 1970. */
  shown: Span
  along: (span: Span) => Along
  /** The minute under a share of the width, 0 to 1. */
  minuteAt: (share: number) => number
  hours: { at: number; words: string }[]
  closed: Along[]
  /** False of a day on which the room does not open. */
  isOpen: boolean
}

/**
 * A day as it is drawn: from the hour in which the room opens, or the first booking begins, to that in which it shuts.
 * @param day its first minute and the first of the next
 */
export function drawnDay(calendar: CalendarState, day: Span): DayDrawn {
  const open = openSpans(calendar, day)
  const saysHours = calendar.hours.length > 0
  const usually = { from: day.from + usual.from * hour, to: day.from + usual.to * hour }
  const booked = calendar.bookings.map(spanOf).filter(({ from, to }) => from < day.to && to > day.from)
  const told = [...(saysHours && open.length > 0 ? open : [usually]), ...booked]
  const shown = {
    from: Math.max(day.from, Math.floor(Math.min(...told.map(({ from }) => from)) / hour) * hour),
    to: Math.min(day.to, Math.ceil(Math.max(...told.map(({ to }) => to)) / hour) * hour),
  }
  const scale = scaleLinear([shown.from, shown.to], [0, 100]).clamp(true)
  const along = ({ from, to }: Span) => ({ left: scale(from), width: scale(to) - scale(from) })
  const hours: DayDrawn['hours'] = []
  for (let at = shown.from; at < shown.to; at += hour)
    hours.push({ at: scale(at), words: localOf(at, calendar.timeZone).slice(11, 13) })
  return {
    shown,
    along,
    minuteAt: (share) => scale.invert(share * 100),
    hours,
    closed: without([shown], open).map(along),
    isOpen: open.length > 0,
  }
}

/** Hours of the week in few words: “every day 08:00 to 22:00”, “Monday, Tuesday 18:00 to 21:00”. */
export function weekWords(hours: readonly Opening[]): string {
  const byTimes = new Map<string, string[]>()
  for (const one of [...hours].sort((a, b) => a.weekday - b.weekday)) {
    const [weekday, times] = [meetingWords(one).split(' ')[0]!, `${one.from} to ${one.until}`]
    byTimes.set(times, [...(byTimes.get(times) ?? []), weekday])
  }
  return [...byTimes]
    .map(([times, days]) => `${new Set(days).size === 7 ? 'every day' : listed([...new Set(days)])} ${times}`)
    .join('; ')
}

/** Bookings of a place that day, in order. */
export function bookingsOf(calendar: CalendarState, placeId: string, day: Span): Booking[] {
  return calendar.bookings
    .filter((one) => one.placeId === placeId && spanOf(one).from < day.to && spanOf(one).to > day.from)
    .sort((a, b) => a.from.localeCompare(b.from))
}

/** The left and right ends of a strip of paper torn off a roll, the same on every visit. */
export function tornEnds(seed: string): string {
  let state = [...seed].reduce((sum, sign) => (sum * 31 + sign.charCodeAt(0)) >>> 0, 7)
  const next = () => {
    state = (state * 1103515245 + 12345) >>> 0
    return state / 4294967296
  }
  const steps = 7
  const edge = (at: (inward: number) => string, down: boolean) =>
    Array.from({ length: steps }, (_, i) => `${at(next() * 5)} ${((down ? i : steps - 1 - i) / (steps - 1)) * 100}%`)
  return `polygon(${[...edge((x) => `calc(100% - ${x.toFixed(1)}px)`, true), ...edge((x) => `${x.toFixed(1)}px`, false)].join(', ')})`
}
