import { FillingRacks, laidBy, type Racks } from './racks'
import type { Placed, Task, Timetable } from './task'

/** Why a task begins when it does and no sooner. */
export type Because =
  /** What comes before it was over then, so many minutes of drying after it included. */
  | { kind: 'after'; taskId: string; lag: number }
  /** Another task had what it needs until then. */
  | { kind: 'resource'; taskId: string; resource: string }
  /** The racks held no more until this one's sheets were dry; null for sheets that lie there already. */
  | { kind: 'racks'; taskId: string | null }
  /** It may not begin before, as what is drying already. */
  | { kind: 'not before' }
  /** It is booked for then. */
  | { kind: 'booked' }
  /** Nothing held it but the hours of the room, and bookings of others. */
  | { kind: 'hours' }

export interface Link extends Placed {
  because: Because
}

/**
 * The critical chain of an edition (models.md, M17): from its last task back to what nothing held, each with what it waited
 * for. What was free before the room opened again waited for the hours alone; the chain goes on with what was over last.
 * @returns first to last; empty when nothing of the edition is placed
 */
export function criticalChain(tasks: readonly Task[], { placed }: Timetable, racks: Racks, editionId: string): Link[] {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const places = new Map(placed.map((one) => [one.taskId, one]))
  let last = placed
    .filter(({ taskId }) => byId.get(taskId)!.editionId === editionId)
    .reduce<Placed | null>((latest, one) => (latest && latest.to >= one.to ? latest : one), null)
  const chain: Link[] = []
  while (last) {
    const because = heldBy(byId.get(last.taskId)!, last, byId, placed, places, racks)
    chain.unshift({ ...last, because })
    last = ('taskId' in because && because.taskId !== null ? places.get(because.taskId) : null) ?? null
  }
  return chain
}

/** What a task waited for longest. */
function heldBy(
  task: Task,
  { from }: Placed,
  byId: ReadonlyMap<string, Task>,
  placed: readonly Placed[],
  places: ReadonlyMap<string, Placed>,
  racks: Racks,
): Because {
  if (task.at !== null) return { kind: 'booked' }
  const reasons: { until: number; because: Because }[] = []
  for (const { taskId, lag } of task.after) {
    const before = places.get(taskId)
    if (before) reasons.push({ until: before.to + lag, because: { kind: 'after', taskId, lag } })
  }
  for (const other of placed) {
    const resource = task.resources.find((one) => byId.get(other.taskId)!.resources.includes(one))
    if (other.taskId !== task.id && resource && other.to <= from)
      reasons.push({ until: other.to, because: { kind: 'resource', taskId: other.taskId, resource } })
  }
  const full = fullFor(task, from, byId, placed, racks)
  if (full) reasons.push(full)
  if (task.notBefore !== null) reasons.push({ until: task.notBefore, because: { kind: 'not before' } })
  const latest = reasons
    .filter(({ until }) => until <= from)
    .reduce<(typeof reasons)[number] | null>((best, one) => (best && best.until >= one.until ? best : one), null)
  return latest ? latest.because : { kind: 'hours' }
}

/** The last time before it at which the racks had no place for its sheets, and whose sheets were dry then. */
function fullFor(
  task: Task,
  from: number,
  byId: ReadonlyMap<string, Task>,
  placed: readonly Placed[],
  racks: Racks,
): { until: number; because: Because } | null {
  if (task.sheets === 0 || racks.slots === null) return null
  const filling = new FillingRacks(racks)
  const others = placed
    .filter(({ taskId }) => taskId !== task.id)
    .map((one) => ({ taskId: one.taskId, ...laidBy(byId.get(one.taskId)!, one) }))
  for (const other of others) filling.lay(other)
  const full = filling.full(task.sheets).findLast(({ to }) => to <= from)
  if (!full) return null
  const gone = others.find(({ to, sheets }) => sheets > 0 && to === full.to)
  return { until: full.to, because: { kind: 'racks', taskId: gone?.taskId ?? null } }
}
