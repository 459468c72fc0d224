import type { Task, Timetable } from './task'

/** How bad a plan is, the worse thing first: tasks that fit nowhere, minutes late over all that is due, minutes until each is over. */
export type Badness = readonly [unplaced: number, late: number, over: number]

export function badnessOf(tasks: readonly Task[], { placed, unplaced }: Timetable): Badness {
  const due = new Map(tasks.map((task) => [task.id, task.due]))
  let late = 0
  let over = 0
  for (const { taskId, to } of placed) {
    const by = due.get(taskId) ?? null
    if (by !== null) late += Math.max(0, to - by)
    over += to
  }
  return [unplaced.length, late, over]
}

/** Below zero when the first is better. */
export function compare(a: Badness, b: Badness): number {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return a[i]! - b[i]!
  return 0
}
