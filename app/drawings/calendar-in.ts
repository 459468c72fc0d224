import { dayOfLocal } from '#core/time/room-day'
import type { ClosureSaid } from '#core/calendar/state'
import { localOf } from '#core/time/room-clock'

/** More times than these no holiday comes back within what is looked ahead. */
const mostTimes = 60
/** Times looked through of one that began long ago, until those to come. */
const mostLooked = 20_000
/** Events of a file that is read; a calendar of holidays has some dozens. */
const mostEvents = 2_000
/** Times looked through in all: a file made to be slow ends here. */
const mostLookedInAll = 60_000
/** As long as this the page is not heard, ms. */
const atOnce = 12
const lookedAhead = 2 * 365 * 24 * 3600_000

/**
 * What a calendar file (iCalendar, RFC 5545) closes from today on: every event of it, whole days as such, those that come
 * back each by itself for two years.
 * @throws Error when it is no calendar, in words that say so
 */
export async function closuresIn(text: string, zone: string): Promise<{ closures: ClosureSaid[]; left: number }> {
  const count = text.match(/^BEGIN:VEVENT/gm)?.length ?? 0
  if (count > mostEvents)
    throw new Error(
      `That calendar has ${count} events; one of holidays has some dozens, and ${mostEvents} are read at most. Export the holidays alone.`,
    )
  const { default: ical } = await import('ical.js')
  let events
  try {
    const calendar = new ical.Component(ical.parse(text) as unknown[])
    for (const one of calendar.getAllSubcomponents('vtimezone')) ical.TimezoneService.register(one)
    events = calendar.getAllSubcomponents('vevent').map((one) => new ical.Event(one))
  } catch {
    throw new Error('That is no calendar file. One ends in .ics; export it from the calendar that has the holidays.')
  }
  const since = Date.now() - 24 * 3600_000
  const closures: ClosureSaid[] = []
  let left = 0
  /** Whole days have no zone; a moment is told by the room's clock. */
  const told = (time: InstanceType<typeof ical.Time>): string =>
    time.isDate ? `${dayOfLocal(time.toString())}T00:00` : localOf(Math.round(time.toJSDate().getTime() / 60_000), zone)
  const add = (from: InstanceType<typeof ical.Time>, until: InstanceType<typeof ical.Time>, why: string): boolean => {
    if (until.toJSDate().getTime() < since) return false
    closures.push({ from: told(from), until: told(until), personId: null, why: why.slice(0, 200) })
    return true
  }
  let looked = 0
  let rested = performance.now()
  const rest = async () => {
    if (performance.now() - rested < atOnce) return
    await new Promise((resolve) => setTimeout(resolve))
    rested = performance.now()
  }
  for (const event of events) {
    await rest()
    const why = event.summary ?? ''
    if (!event.startDate || !event.endDate) {
      left++
      continue
    }
    if (!event.isRecurring()) {
      add(event.startDate, event.endDate, why)
      continue
    }
    const times = event.iterator()
    let taken = 0
    for (let i = 0; i < mostLooked && taken < mostTimes; i++) {
      if (++looked > mostLookedInAll)
        throw new Error('That calendar repeats too much to be read. Export the holidays alone.')
      await rest()
      const time = times.next()
      if (!time || time.toJSDate().getTime() > Date.now() + lookedAhead) break
      const { startDate, endDate } = event.getOccurrenceDetails(time)
      if (add(startDate, endDate, why)) taken++
    }
  }
  return { closures, left }
}
