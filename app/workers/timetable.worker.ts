import { type Mend, mends } from '#core/schedule/mend'
import type { EditionTask } from '#core/schedule/task'
import { betterPlans, type Planned } from '#core/timetable/plan'
import type { Calendar, Timetable } from '#core/timetable/task'

export type TimetableAsked = { tasks: EditionTask[]; calendar: Calendar } & (
  { kind: 'plan' } | { kind: 'mend'; editionId: string; pressIds: string[] }
)

export type TimetableFound =
  | { kind: 'plan'; timetable: Timetable; late: number; round: number; isDone: boolean }
  | { kind: 'mend'; editionId: string; mends: Mend[] }

/** Whoever looks is told so often at most, ms. */
const toldEvery = 250
/** By then it is as good as it gets, ms. */
const longest = 9000

function plan(tasks: EditionTask[], calendar: Calendar): void {
  const began = performance.now()
  let told = 0
  let round = 0
  const plans = betterPlans(tasks, calendar)
  let best: Planned | null = null
  for (;;) {
    const { value, done } = plans.next()
    if (best !== null && value !== best) round++
    const isFirst = best === null
    best = value
    const now = performance.now()
    const isDone = done === true || now - began > longest
    if (isFirst || isDone || now - told > toldEvery) {
      const { placed, unplaced, badness } = value
      postMessage({
        kind: 'plan',
        timetable: { placed, unplaced },
        late: badness[1],
        round,
        isDone,
      } satisfies TimetableFound)
      told = now
    }
    if (isDone) return
  }
}

addEventListener('message', ({ data }: MessageEvent<TimetableAsked>) => {
  const { tasks, calendar } = data
  if (data.kind === 'plan') return plan(tasks, calendar)
  const { editionId, pressIds } = data
  postMessage({
    kind: 'mend',
    editionId,
    mends: mends(tasks, calendar, editionId, pressIds),
  } satisfies TimetableFound)
})
