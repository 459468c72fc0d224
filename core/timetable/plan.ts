import { type FreeHours, freeHours, generate } from './generate'
import { latestStarts } from './latest'
import { type Badness, badnessOf, compare } from './lateness'
import type { Calendar, Task, Timetable } from './task'

/** A timetable, the order it was made in, and how bad it is. */
export interface Planned extends Timetable {
  order: readonly string[]
  badness: Badness
}

/** Tasks up to here are tried in every order that can be. */
export const mostExact = 8

/** The first plan: what must begin first, by its latest start, is placed first. */
export function firstPlan(tasks: readonly Task[], calendar: Calendar): Planned {
  const latest = latestStarts(tasks, calendar)
  const order = tasks
    .map(({ id }, i) => ({ id, i, start: latest.get(id)! }))
    .sort((a, b) => (a.start === b.start ? a.i - b.i : a.start - b.start))
    .map(({ id }) => id)
  return planned(tasks, order, calendar, freeHours(tasks, calendar))
}

function planned(tasks: readonly Task[], order: readonly string[], calendar: Calendar, hours: FreeHours): Planned {
  const timetable = generate(tasks, order, calendar, hours)
  return { ...timetable, order, badness: badnessOf(tasks, timetable) }
}

/** So many orders are tried before whoever waits is asked again whether to go on. */
const triedAtOnce = 8

/**
 * Better plans, none worse than the one before: neighbours at a press, or in a person's day, change places while that helps; few tasks are tried in
 * every order. Yields the best so far every few tries, the same again while none is better, so that whoever waits can stop.
 */
export function* betterPlans(tasks: readonly Task[], calendar: Calendar): Generator<Planned, Planned> {
  let best = firstPlan(tasks, calendar)
  const hours = freeHours(tasks, calendar)
  yield best
  if (tasks.length <= mostExact) {
    let tries = 0
    for (const order of everyOrder(tasks)) {
      if (++tries % triedAtOnce === 0) yield best
      const tried = planned(tasks, order, calendar, hours)
      if (compare(tried.badness, best.badness) < 0) best = tried
    }
    return best
  }
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const isShort = mayBeShort(tasks, calendar)
  let tries = 0
  for (let isBetter = true; isBetter;) {
    isBetter = false
    for (let i = 0; i + 1 < best.order.length; i++) {
      const one = byId.get(best.order[i]!)!
      const next = best.order.findIndex((id, at) => at > i && meet(one, byId.get(id)!, isShort))
      if (next < 0) continue
      if (++tries % triedAtOnce === 0) yield best
      const order = best.order.with(i, best.order[next]!).with(next, best.order[i]!)
      const tried = planned(tasks, order, calendar, hours)
      if (compare(tried.badness, best.badness) >= 0) continue
      best = tried
      isBetter = true
      yield best
    }
  }
  return best
}

/**
 * Whether two are neighbours, so that it can matter which is placed first: not where they need nothing in common, nor where
 * the second waits for the first anyway.
 */
const meet = (one: Task, next: Task, isShort: boolean): boolean =>
  ((isShort && one.sheets > 0 && next.sheets > 0) ||
    one.resources.some((resource) => next.resources.includes(resource))) &&
  !next.after.some(({ taskId }) => taskId === one.id)

/** Whether the racks could be full at all: else no sheet waits for another. */
const mayBeShort = (tasks: readonly Task[], { racks: { slots, lying } }: Calendar): boolean =>
  slots !== null && [...tasks, ...lying].reduce((sum, { sheets }) => sum + sheets, 0) > slots

/** Every order in which no task stands before one that must be over first. */
function* everyOrder(tasks: readonly Task[], begun: readonly string[] = []): Generator<readonly string[]> {
  if (begun.length === tasks.length) yield begun
  for (const { id, after } of tasks)
    if (!begun.includes(id) && after.every(({ taskId }) => begun.includes(taskId)))
      yield* everyOrder(tasks, [...begun, id])
}

/** The best plan, however long that takes. */
export function bestPlan(tasks: readonly Task[], calendar: Calendar): Planned {
  const plans = betterPlans(tasks, calendar)
  for (;;) {
    const { value, done } = plans.next()
    if (done) return value
  }
}
