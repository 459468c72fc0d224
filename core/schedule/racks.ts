import { laidBy, type Lying } from '../timetable/racks'
import type { Placed } from '../timetable/task'
import type { EditionTask } from './task'

/** The moment at which most sheets dry at once, and how many they are. */
export interface RackNeed {
  at: number
  sheets: number
}

/**
 * How many sheets lie in the racks at once at the most, by a timetable: each from its pull until it is dry at the slow end
 * (models.md, M17), beside what lies there already. More than the racks hold only where one run alone is more, or is booked.
 */
export function mostInRacks(
  tasks: readonly EditionTask[],
  placed: readonly Placed[],
  lying: readonly Lying[],
): RackNeed | null {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const all = placed.map((one) => laidBy(byId.get(one.taskId)!, one))
  const steps = [...lying, ...all.filter(({ sheets }) => sheets > 0)]
    .flatMap(({ from, to, sheets }) => [
      { at: from, by: sheets },
      { at: to, by: -sheets },
    ])
    // What is taken out makes room for what is laid in at the same moment.
    .sort((a, b) => a.at - b.at || a.by - b.by)
  let there = 0
  let most: RackNeed | null = null
  for (const { at, by } of steps) {
    there += by
    if (there > (most?.sheets ?? 0)) most = { at, sheets: there }
  }
  return most
}
