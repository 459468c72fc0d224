import type { Placed } from '../timetable/task'
import type { EditionTask } from './task'

/** The moment at which most sheets dry at once, and how many they are. */
export interface RackNeed {
  at: number
  sheets: number
}

/**
 * How many sheets lie in the racks at once at the most, by a timetable: each from its pull until it is dry at the slow end
 * (MODELS M17). What is drying already is not counted here, it lies in its slots.
 */
export function mostInRacks(tasks: readonly EditionTask[], placed: readonly Placed[]): RackNeed | null {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const steps = placed
    .flatMap(({ taskId, from, to }) => {
      const { sheets, dries } = byId.get(taskId)!
      return sheets === 0
        ? []
        : [
            { at: from, by: sheets },
            { at: to + dries, by: -sheets },
          ]
    })
    // What is taken out makes room for what is laid in at the same moment.
    .sort((a, b) => a.at - b.at || a.by - b.by)
  let lying = 0
  let most: RackNeed | null = null
  for (const { at, by } of steps) {
    lying += by
    if (lying > (most?.sheets ?? 0)) most = { at, sheets: lying }
  }
  return most
}
