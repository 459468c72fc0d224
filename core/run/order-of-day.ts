import { firstFit, type Span } from '../timetable/spans'

/** One of today's runs at a press. */
export interface DayRun {
  id: string
  /** Of the run itself, what has to be changed over before it left out. */
  minutes: number
  /** Its stack is not dry before, minutes since one moment; null when nothing dries. */
  notBefore: number | null
  /** Kept to this hour, changing over included; null for one that may change places. */
  at: number | null
}

export interface DayAsked {
  runs: readonly DayRun[]
  /** When the first may begin. */
  start: number
  /** When the press is free: the room's hours without the bookings of others. In order, apart. */
  free: readonly Span[]
  /** Minutes from one run to the next, by their places among the runs; `before` −1 is what stands on the press now. */
  between: (before: number, next: number) => number
}

/** Runs in an order, each from its changing over to its end. */
export interface DayOrder {
  runs: { id: string; from: number; to: number; change: number }[]
  /** Minutes of changing over, all told. */
  changes: number
  /** When the last is over. */
  end: number
}

/** More are not looked through in every order. */
export const mostRuns = 12

/** A way to have pulled some of the runs: over at a moment, after so many minutes of changing over. */
interface Way {
  end: number
  changes: number
  last: number
  before: Way | null
  from: number
}

/**
 * The order of a day's runs that is over soonest, and of those the one with the fewest minutes of changing over (models.md,
 * M20): exact, by dynamic programming over the runs done and the last of them. To have been done sooner is never worse for
 * what follows, nor is to have changed over less; ways that are neither are given up.
 * @returns null when no order fits into the day, or there are more than 12 runs
 */
export function orderOfDay(asked: DayAsked): DayOrder | null {
  const { runs } = asked
  if (runs.length > mostRuns) return null
  const all = (1 << runs.length) - 1
  const ways = new Map<number, Way[]>([[0, [{ end: asked.start, changes: 0, last: -1, before: null, from: 0 }]]])
  for (let done = 0; done < all; done++) {
    for (const way of ways.get(done) ?? [])
      for (let next = 0; next < runs.length; next++) {
        if (done & (1 << next)) continue
        const longer = onTo(asked, way, next)
        if (longer) keep(ways, done | (1 << next), longer)
      }
    ways.delete(done)
  }
  const best = (ways.get(all) ?? []).reduce<Way | null>(
    (found, way) => (found && isFirst(found, way) ? found : way),
    null,
  )
  return best && told(asked, best)
}

/** The order as it is given: what the best is held against. Null when it does not fit. */
export function inGivenOrder(asked: DayAsked): DayOrder | null {
  let way: Way | null = { end: asked.start, changes: 0, last: -1, before: null, from: 0 }
  for (let next = 0; way && next < asked.runs.length; next++) way = onTo(asked, way, next)
  return way && told(asked, way)
}

function onTo({ runs, free, between }: DayAsked, way: Way, next: number): Way | null {
  const { minutes, notBefore, at } = runs[next]!
  const change = between(way.last, next)
  const long = change + minutes
  // The press is changed over while the stack still dries.
  const ready = Math.max(way.end, (notBefore ?? 0) - change)
  const from = firstFit([free], long, at ?? ready)
  if (from === null || from < ready || (at !== null && from !== at)) return null
  return { end: from + long, changes: way.changes + change, last: next, before: way, from }
}

const isFirst = (a: Way, b: Way): boolean => a.end < b.end || (a.end === b.end && a.changes <= b.changes)

/** Keeps a way unless one with the same last run is as good in both; gives up those that are worse in both. */
function keep(ways: Map<number, Way[]>, done: number, way: Way): void {
  const known = ways.get(done) ?? []
  const isWorse = (one: Way, than: Way) => one.last === than.last && than.end <= one.end && than.changes <= one.changes
  if (known.some((one) => isWorse(way, one))) return
  ways.set(done, [...known.filter((one) => !isWorse(one, way)), way])
}

function told({ runs }: DayAsked, way: Way): DayOrder {
  const order: DayOrder['runs'] = []
  for (let at: Way | null = way; at && at.last >= 0; at = at.before)
    order.unshift({
      id: runs[at.last]!.id,
      from: at.from,
      to: at.end,
      change: at.changes - (at.before?.changes ?? 0),
    })
  return { runs: order, changes: way.changes, end: way.end }
}
