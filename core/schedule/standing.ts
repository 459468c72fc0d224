import { criticalChain, type Link } from '../timetable/chain'
import { hardenedBy } from '../timetable/lateness'
import { latestStarts } from '../timetable/latest'
import type { Calendar, Placed, Timetable } from '../timetable/task'
import type { EditionTask } from './task'

/** How an edition stands in a timetable. */
export interface EditionStanding {
  editionId: string
  tasks: (EditionTask & { place: Placed | null; slack: number | null })[]
  /** When its last task is over, or null where one fits nowhere. */
  end: number | null
  due: number | null
  /** Minutes it is over after its day; 0 in time. */
  late: number
  /** The last moment at which something must be begun for all of it to be in time; null without a day. */
  beginBy: number | null
  chain: Link[]
  /** Booked times that come before what must be over first. */
  broken: { taskId: string; until: number }[]
  /** Tasks that come after a film beneath them has hardened, with when that is: it may refuse ink. */
  hardened: { taskId: string; by: number }[]
}

/** Every edition of a timetable, those that are latest first, then by the day they are due. */
export function standings(tasks: readonly EditionTask[], timetable: Timetable, calendar: Calendar): EditionStanding[] {
  const places = new Map(timetable.placed.map((one) => [one.taskId, one]))
  const latest = latestStarts(tasks, calendar)
  const byEdition = new Map<string, EditionTask[]>()
  for (const task of tasks) byEdition.set(task.editionId, [...(byEdition.get(task.editionId) ?? []), task])
  return [...byEdition]
    .map(([editionId, own]): EditionStanding => {
      const ends = own.map(({ id }) => places.get(id)?.to ?? null)
      const end = ends.includes(null) ? null : Math.max(...(ends as number[]))
      const due = own.reduce<number | null>((found, task) => task.due ?? found, null)
      const starts = own.map(({ id }) => latest.get(id)!).filter((start) => start !== Number.POSITIVE_INFINITY)
      return {
        editionId,
        tasks: own.map((task) => ({ ...task, place: places.get(task.id) ?? null, slack: slackOf(task) })),
        end,
        due,
        late: due === null || end === null ? 0 : Math.max(0, end - due),
        beginBy: starts.length === 0 ? null : Math.min(...starts),
        chain: criticalChain(tasks, timetable, calendar.racks, editionId),
        broken: own.flatMap(brokenBy),
        hardened: own.flatMap((task) => {
          const by = hardenedBy(task, places)
          const place = places.get(task.id)
          return place && place.from > by ? [{ taskId: task.id, by }] : []
        }),
      }
    })
    .sort(
      (a, b) =>
        Number(a.end !== null) - Number(b.end !== null) ||
        b.late - a.late ||
        (a.due ?? Infinity) - (b.due ?? Infinity) ||
        a.editionId.localeCompare(b.editionId),
    )

  /** Minutes by which it may slip while nothing that is due is late for it; null where nothing is due. */
  function slackOf({ id }: EditionTask): number | null {
    const [start, place] = [latest.get(id)!, places.get(id)]
    if (!place || start === Number.POSITIVE_INFINITY) return null
    return start === Number.NEGATIVE_INFINITY ? Number.NEGATIVE_INFINITY : start - place.from
  }

  function brokenBy({ id, at, after, notBefore }: EditionTask): { taskId: string; until: number }[] {
    if (at === null) return []
    const until = after.reduce((moment, { taskId, lag }) => {
      const before = places.get(taskId)
      return before ? Math.max(moment, before.to + lag) : moment
    }, notBefore ?? 0)
    return until > at ? [{ taskId: id, until }] : []
  }
}
