import { firstPlan } from '../timetable/plan'
import type { Calendar, Timetable } from '../timetable/task'
import { type EditionTask, personResource, pressOf, pressResource, type TaskKind } from './task'

/** What would bring an edition in time, or nearer to it. */
export interface Mend {
  kind: 'drier' | 'press' | 'helper' | 'racks' | 'fewer'
  /** The press to go to. */
  pressId: string | null
  /** Of fewer prints: the share that can be done, 0 to 1. */
  share: number
  /** When it is then over. */
  end: number
  /** True when that is in time. */
  isInTime: boolean
}

/** A drier within its label's range halves the hours (models.md, M12). */
const drierShare = 0.5
/** Fewer prints than these are another edition. */
const leastShare = 0.3

/** Whose minutes grow with the number of prints. */
const byPrint: ReadonlySet<TaskKind> = new Set(['tear', 'pull', 'lay', 'finish', 'curate', 'sign'])

/**
 * What would mend an edition that is late (models.md, M17): each remedy tried by itself, with every other edition planned beside
 * it. What helps nothing is left out.
 * @param pressIds presses it could be printed at
 */
export function mends(
  tasks: readonly EditionTask[],
  calendar: Calendar,
  editionId: string,
  pressIds: readonly string[],
): Mend[] {
  const own = tasks.filter((task) => task.editionId === editionId)
  const due = own.reduce<number | null>((found, task) => task.due ?? found, null)
  const now = endOf(firstPlan(tasks, calendar), own)
  if (due === null) return []
  const tried = (
    kind: Mend['kind'],
    change: (task: EditionTask) => EditionTask,
    more: Partial<Mend> = {},
    within = calendar,
  ): Mend[] => {
    const end = endOf(
      firstPlan(
        tasks.map((task) => (task.editionId === editionId ? change(task) : task)),
        within,
      ),
      own,
    )
    return end === null || (now !== null && end >= now)
      ? []
      : [{ kind, pressId: null, share: 1, end, isInTime: end <= due, ...more }]
  }
  const used = new Set(own.map(pressOf))
  const others = own.some((task) => pressOf(task) !== null) ? pressIds.filter((id) => !used.has(id)) : []
  return [
    ...tried('drier', withDrier),
    ...others.flatMap((pressId) => tried('press', (task) => atPress(task, pressId), { pressId })),
    ...tried('helper', withHelper(own)),
    ...tried('racks', (task) => task, {}, { ...calendar, racks: { ...calendar.racks, slots: null } }),
    // In time as it is, nobody makes fewer.
    ...(now !== null && now <= due
      ? []
      : fewer((share) => tried('fewer', (task) => withFewer(task, share), { share }))),
  ]
}

function endOf({ placed }: Timetable, own: readonly EditionTask[]): number | null {
  const ids = new Set(own.map(({ id }) => id))
  const places = placed.filter(({ taskId }) => ids.has(taskId))
  return places.length < ids.size ? null : Math.max(...places.map(({ to }) => to))
}

const withDrier = (task: EditionTask): EditionTask => ({
  ...task,
  dries: task.dries * drierShare,
  after: task.after.map((wait) =>
    wait.dries && task.kind !== 'finish'
      ? {
          ...wait,
          lag: wait.lag * drierShare,
          within: wait.within === null ? null : wait.within * drierShare,
        }
      : wait,
  ),
})

const atPress = (task: EditionTask, pressId: string): EditionTask =>
  task.at !== null || pressOf(task) === null
    ? task
    : {
        ...task,
        resources: [pressResource(pressId), ...task.resources.filter((one) => !one.startsWith('press:'))],
      }

/** Every second batch at the table is done by somebody else. */
const withHelper = (own: readonly EditionTask[]) => {
  const batches = new Map<string, number>()
  for (const { id, kind } of own) {
    const batch = /batch \d+$/.exec(id)?.[0]
    if (kind === 'finish' && batch && !batches.has(batch)) batches.set(batch, batches.size)
  }
  return (task: EditionTask): EditionTask => {
    const batch = batches.get(/batch \d+$/.exec(task.id)?.[0] ?? '')
    return task.kind === 'finish' && batch !== undefined && batch % 2 === 1
      ? { ...task, resources: [personResource('somebody else')] }
      : task
  }
}

const withFewer = (task: EditionTask, share: number): EditionTask =>
  byPrint.has(task.kind) && task.at === null
    ? {
        ...task,
        minutes: Math.max(5, Math.ceil(task.minutes * share)),
        sheets: Math.ceil(task.sheets * share),
      }
    : task

/** The most prints that are in time, by halving; none when even the fewest are not. */
function fewer(tried: (share: number) => Mend[]): Mend[] {
  let best = tried(leastShare).filter(({ isInTime }) => isInTime)
  if (best.length === 0) return []
  let [low, high] = [leastShare, 1]
  for (let round = 0; round < 5; round++) {
    const share = (low + high) / 2
    const found = tried(share).filter(({ isInTime }) => isInTime)
    if (found.length > 0) [best, low] = [found, share]
    else high = share
  }
  return best
}
