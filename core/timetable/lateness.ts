import type { Placed, Task, Timetable } from './task'

/**
 * How bad a plan is, the worse thing first: tasks that fit nowhere; minutes late over all that is due or ought to have begun;
 * minutes until each is over. How long a film that is planned only will have hardened does not count: the answer to it is to
 * lay that film later, which no order of the tasks does.
 */
export type Badness = readonly [unplaced: number, late: number, over: number]

export function badnessOf(tasks: readonly Task[], { placed, unplaced }: Timetable): Badness {
  const places = new Map(placed.map((one) => [one.taskId, one]))
  let late = 0
  let over = 0
  for (const task of tasks) {
    const place = places.get(task.id)
    if (!place) continue
    if (task.due !== null) late += Math.max(0, place.to - task.due)
    if (task.beginBy !== null) late += Math.max(0, place.from - task.beginBy)
    over += place.to
  }
  return [unplaced.length, late, over]
}

/** The moment by which a task ought to begin for all that lies beneath it; infinity where nothing hardens. */
export function hardenedBy({ beginBy, after }: Task, places: ReadonlyMap<string, Placed>): number {
  return after.reduce((by, { taskId, within }) => {
    const before = places.get(taskId)
    return within === null || !before ? by : Math.min(by, before.to + within)
  }, beginBy ?? Number.POSITIVE_INFINITY)
}

/** Below zero when the first is better. */
export function compare(a: Badness, b: Badness): number {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return a[i]! - b[i]!
  return 0
}
