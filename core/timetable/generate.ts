import { FillingRacks, laidBy } from './racks'
import { firstFit, type Span, takeOut, without } from './spans'
import type { Calendar, Placed, Task, Timetable } from './task'

/**
 * Serial schedule generation (models.md, M17): tasks in the order given, each at the first moment at which what it needs is free,
 * the racks hold its sheets until they are dry, and what comes before it is over. A task stands in the order behind those before it, or is placed once they are. What is booked
 * stands where it is booked, and nothing else is placed there.
 * @param order ids of all tasks
 * @param hours as `freeHours` gives them, where many orders are tried
 */
export function generate(
  tasks: readonly Task[],
  order: readonly string[],
  calendar: Calendar,
  hours = freeHours(tasks, calendar),
): Timetable {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const room = new FillingRoom(calendar, hours)
  const placed = new Map<string, Placed>()
  const lost = new Set<string>()
  for (const task of tasks) if (task.at !== null) placed.set(task.id, room.fill(task, task.at))
  const waiting = order.map((id) => byId.get(id)!).filter(({ at }) => at === null)
  while (waiting.length > 0) {
    const at = waiting.findIndex(({ after }) => after.every(({ taskId }) => placed.has(taskId) || lost.has(taskId)))
    const [next] = at < 0 ? [] : waiting.splice(at, 1)
    // A circle can never be done: all that is left is told.
    if (!next) break
    const from = next.after.some(({ taskId }) => lost.has(taskId)) ? null : room.startOf(next, placed)
    if (from === null) lost.add(next.id)
    else placed.set(next.id, room.fill(next, from))
  }
  return {
    placed: [...placed.values()].sort((a, b) => a.from - b.from || (a.taskId < b.taskId ? -1 : 1)),
    unplaced: [...lost, ...waiting.map(({ id }) => id)],
  }
}

/** When each thing that tasks need is free, in order, before any of them is placed; the room's own hours under `room`. */
export type FreeHours = ReadonlyMap<string, readonly Span[]>
const roomItself = 'room'

export function freeHours(tasks: readonly Task[], { open, taken }: Calendar): FreeHours {
  const resources = new Set(tasks.flatMap((task) => task.resources))
  const free = new Map<string, readonly Span[]>([[roomItself, open]])
  for (const resource of resources) free.set(resource, without(open, taken.get(resource) ?? []))
  return free
}

/** The room as it fills. */
class FillingRoom {
  private readonly free: Map<string, Span[]>
  private readonly racks: FillingRacks

  constructor(
    private readonly calendar: Calendar,
    hours: FreeHours,
  ) {
    this.free = new Map([...hours].map(([resource, spans]) => [resource, [...spans]]))
    this.racks = new FillingRacks(calendar.racks)
  }

  /** A task done at a moment, with all it takes up. */
  fill(task: Task, from: number): Placed {
    const span = { from, to: from + task.minutes }
    for (const resource of task.resources) takeOut(this.free.get(resource)!, span)
    this.racks.lay(laidBy(task, span))
    return { taskId: task.id, ...span }
  }

  /** The first moment at which a task can be done, or null. */
  startOf(task: Task, placed: ReadonlyMap<string, Placed>): number | null {
    const { now } = this.calendar
    const needed = task.resources.length > 0 ? task.resources : [roomItself]
    const rows = needed.map((resource) => this.free.get(resource)!)
    let earliest = task.after.reduce(
      (moment, { taskId, lag }) => Math.max(moment, placed.get(taskId)!.to + lag),
      Math.max(now, task.notBefore ?? now),
    )
    for (;;) {
      const from = firstFit(rows, task.minutes, earliest)
      if (from === null) return null
      earliest = this.racks.roomFrom(from, task.minutes + task.dries, task.sheets)
      if (earliest === from) return from
    }
  }
}
