import { firstFit, type Span, without } from './spans'
import type { Calendar, Placed, Task, Timetable } from './task'

/**
 * Serial schedule generation (MODELS M17): tasks in the order given, each at the first moment at which what it needs is free and
 * what comes before it is over. A task stands in the order behind those before it, or is placed once they are. What is booked
 * stands where it is booked, and nothing else is placed there.
 * @param order ids of all tasks
 */
export function generate(tasks: readonly Task[], order: readonly string[], calendar: Calendar): Timetable {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const free = new Map<string, Span[]>()
  const placed = new Map<string, Placed>()
  const lost = new Set<string>()
  for (const task of tasks) if (task.at !== null) placed.set(task.id, booked(task, task.at, free, calendar))
  let waiting = order.map((id) => byId.get(id)!).filter(({ at }) => at === null)
  while (waiting.length > 0) {
    const next = waiting.find((task) => task.after.every(({ taskId }) => placed.has(taskId) || lost.has(taskId)))
    // A circle can never be done: all that is left is told.
    if (!next) break
    waiting = waiting.filter((task) => task !== next)
    const span = next.after.some(({ taskId }) => lost.has(taskId)) ? null : place(next, placed, free, calendar)
    if (span) placed.set(next.id, { taskId: next.id, ...span })
    else lost.add(next.id)
  }
  return {
    placed: [...placed.values()].sort((a, b) => a.from - b.from || a.taskId.localeCompare(b.taskId)),
    unplaced: [...lost, ...waiting.map(({ id }) => id)],
  }
}

/** What is taken of a resource so far, fixed bookings first. */
function takenOf(resource: string, free: Map<string, Span[]>, calendar: Calendar): Span[] {
  const known = free.get(resource)
  if (known) return known
  const taken = [...(calendar.taken.get(resource) ?? [])]
  free.set(resource, taken)
  return taken
}

function booked(task: Task, from: number, free: Map<string, Span[]>, calendar: Calendar): Placed {
  const span = { from, to: from + task.minutes }
  for (const resource of task.resources) takenOf(resource, free, calendar).push(span)
  return { taskId: task.id, ...span }
}

/** Hours in which all that a task needs is free. */
function freeFor(task: Task, free: Map<string, Span[]>, calendar: Calendar): Span[] {
  let hours = calendar.open as Span[]
  for (const resource of task.resources) hours = without(hours, takenOf(resource, free, calendar))
  return hours
}

function place(
  task: Task,
  placed: ReadonlyMap<string, Placed>,
  free: Map<string, Span[]>,
  calendar: Calendar,
): Span | null {
  const earliest = task.after.reduce(
    (moment, { taskId, lag }) => Math.max(moment, placed.get(taskId)!.to + lag),
    Math.max(calendar.now, task.notBefore ?? calendar.now),
  )
  const from = firstFit(freeFor(task, free, calendar), task.minutes, earliest)
  if (from === null) return null
  const span = { from, to: from + task.minutes }
  for (const resource of task.resources) free.get(resource)!.push(span)
  return span
}
