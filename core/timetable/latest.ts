import { lastFit, type Span, without } from './spans'
import type { Calendar, Task } from './task'

/**
 * The latest moment at which each task may begin so that all that is due is over in time, each taken by itself: from the due
 * days back (models.md, M17). Without a due day behind it a task has none; one that cannot be in time at all has the earliest
 * there is, since it is the most pressing.
 */
export function latestStarts(tasks: readonly Task[], calendar: Calendar): Map<string, number> {
  const behind = new Map<string, { task: Task; lag: number }[]>()
  for (const task of tasks)
    for (const { taskId, lag } of task.after) behind.set(taskId, [...(behind.get(taskId) ?? []), { task, lag }])
  const found = new Map<string, number>()
  const onWay = new Set<string>()
  const free = new Map<string, Span[]>()
  // Very many tasks need the same things.
  const freeFor = ({ resources }: Task): Span[] => {
    const key = resources.join()
    const known = free.get(key)
    if (known) return known
    const hours = without(
      calendar.open,
      resources.flatMap((resource) => calendar.taken.get(resource) ?? []),
    )
    free.set(key, hours)
    return hours
  }
  const startOf = (task: Task): number => {
    const known = found.get(task.id)
    if (known !== undefined) return known
    // A circle has no last moment.
    if (onWay.has(task.id)) return Number.NEGATIVE_INFINITY
    onWay.add(task.id)
    const end = (behind.get(task.id) ?? []).reduce(
      (moment, { task: next, lag }) => Math.min(moment, startOf(next) - lag),
      task.due ?? Number.POSITIVE_INFINITY,
    )
    onWay.delete(task.id)
    const start =
      end === Number.POSITIVE_INFINITY ? end : (lastFit(freeFor(task), task.minutes, end) ?? Number.NEGATIVE_INFINITY)
    found.set(task.id, start)
    return start
  }
  for (const task of tasks) startOf(task)
  return found
}
