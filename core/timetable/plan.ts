import { generate } from './generate'
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
  return planned(tasks, order, calendar)
}

function planned(tasks: readonly Task[], order: readonly string[], calendar: Calendar): Planned {
  const timetable = generate(tasks, order, calendar)
  return { ...timetable, order, badness: badnessOf(tasks, timetable) }
}

/**
 * Better plans, each better than the one before: neighbours in the order change places while that helps; few tasks are tried in
 * every order. Yields the best so far after each round, so that whoever waits can stop.
 */
export function* betterPlans(tasks: readonly Task[], calendar: Calendar): Generator<Planned, Planned> {
  let best = firstPlan(tasks, calendar)
  yield best
  if (tasks.length <= mostExact) {
    for (const order of everyOrder(tasks)) {
      const tried = planned(tasks, order, calendar)
      if (compare(tried.badness, best.badness) < 0) best = tried
    }
    return best
  }
  for (let isBetter = true; isBetter;) {
    isBetter = false
    for (let i = 0; i + 1 < best.order.length; i++) {
      const order = best.order.with(i, best.order[i + 1]!).with(i + 1, best.order[i]!)
      const tried = planned(tasks, order, calendar)
      if (compare(tried.badness, best.badness) >= 0) continue
      best = tried
      isBetter = true
      yield best
    }
  }
  return best
}

/** Every order in which no task stands before one that must be over first. */
function* everyOrder(tasks: readonly Task[], begun: readonly string[] = []): Generator<readonly string[]> {
  if (begun.length === tasks.length) return void (yield begun)
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
