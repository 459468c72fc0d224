import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { latestStarts } from './latest'
import { compare } from './lateness'
import { bestPlan, betterPlans, firstPlan } from './plan'
import { firstFit, lastFit, merged, type Span, without } from './spans'
import type { Calendar, Task, Timetable } from './task'

const spans = fc.array(
  fc.tuple(fc.nat(30), fc.nat(12)).map(([from, long]) => ({ from, to: from + long })),
  { maxLength: 6 },
)
const within = (all: readonly Span[], minute: number) => all.some(({ from, to }) => from <= minute && minute < to)

describe('spans', () => {
  it('taken out of others leave every minute that is in the one and not in the other', () => {
    fc.assert(
      fc.property(spans, spans, (open, taken) => {
        const left = without(open, taken)
        for (let minute = 0; minute < 45; minute++)
          expect(within(left, minute)).toBe(within(open, minute) && !within(taken, minute))
        expect(merged(left)).toEqual(left)
      }),
    )
  })

  it('hold what fits at the first and at the last moment', () => {
    fc.assert(
      fc.property(spans, fc.integer({ min: 1, max: 8 }), fc.nat(40), (given, minutes, edge) => {
        const open = merged(given)
        const fits = Array.from({ length: 60 }, (_, start) => start).filter((start) =>
          open.some(({ from, to }) => from <= start && start + minutes <= to),
        )
        expect(firstFit(open, minutes, edge)).toBe(fits.find((start) => start >= edge) ?? null)
        expect(lastFit(open, minutes, edge)).toBe(fits.findLast((start) => start + minutes <= edge) ?? null)
      }),
    )
  })
})

/** A few tasks on two presses, in a room that shuts in between. */
const small = (mostTasks: number) =>
  fc
    .record({
      lengths: fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: mostTasks }),
      seed: fc.infiniteStream(fc.nat(99)),
      open: fc.constantFrom(
        [{ from: 0, to: 14 }],
        [
          { from: 1, to: 6 },
          { from: 8, to: 14 },
        ],
      ),
      booked: fc.boolean(),
    })
    .map(({ lengths, seed, open, booked }) => {
      const next = () => seed.next().value as number
      const tasks = lengths.map((minutes, i): Task => ({
        id: `t${i}`,
        editionId: `e${next() % 2}`,
        minutes,
        resources: next() % 4 === 0 ? [] : next() % 5 === 0 ? ['long', 'small'] : [next() % 2 ? 'long' : 'small'],
        after: i > 0 && next() % 2 ? [{ taskId: `t${next() % i}`, lag: next() % 3 }] : [],
        due: next() % 2 ? 3 + (next() % 9) : null,
        notBefore: next() % 6 === 0 ? next() % 5 : null,
        at: null,
      }))
      const calendar: Calendar = { now: 0, open, taken: new Map(booked ? [['long', [{ from: 3, to: 5 }]]] : []) }
      return { tasks, calendar }
    })

/** Whether a plan can be carried out. */
function faults(tasks: readonly Task[], { now, open, taken }: Calendar, { placed, unplaced }: Timetable): string[] {
  const byId = new Map(placed.map((one) => [one.taskId, one]))
  const found: string[] = []
  if (placed.length + unplaced.length !== tasks.length) found.push('a task is nowhere')
  for (const task of tasks) {
    const one = byId.get(task.id)
    if (!one) continue
    if (one.from < Math.max(now, task.notBefore ?? now) || one.to - one.from !== task.minutes)
      found.push(`${task.id} is too short or too early`)
    if (!open.some(({ from, to }) => from <= one.from && one.to <= to)) found.push(`${task.id} while the room is shut`)
    for (const { taskId, lag } of task.after) {
      const before = byId.get(taskId)
      if (!before || before.to + lag > one.from) found.push(`${task.id} before ${taskId}`)
    }
    for (const resource of task.resources) {
      const clash = (other: Span) => other.from < one.to && one.from < other.to
      if ((taken.get(resource) ?? []).some(clash)) found.push(`${task.id} in a booking`)
      const others = tasks.filter(({ id, resources }) => id !== task.id && resources.includes(resource))
      if (others.some(({ id }) => byId.has(id) && clash(byId.get(id)!)))
        found.push(`${task.id} at a press with another`)
    }
  }
  return found
}

/** The best there is, by trying every minute for every task: knows nothing of orders. */
function bestByMinutes(tasks: readonly Task[], calendar: Calendar): readonly number[] {
  let best: readonly number[] = [Infinity, 0, 0]
  const placed: { taskId: string; from: number; to: number }[] = []
  const lost: string[] = []
  const go = (i: number, late: number, over: number): void => {
    if (compare([lost.length, late, over], best as never) >= 0) return
    if (i === tasks.length) return void (best = [lost.length, late, over])
    const task = tasks[i]!
    for (let from = 0; from + task.minutes <= 14; from++) {
      placed.push({ taskId: task.id, from, to: from + task.minutes })
      const soFar = tasks.slice(0, i + 1)
      if (faults(soFar, calendar, { placed, unplaced: lost }).length === 0) {
        const by = task.due === null ? 0 : Math.max(0, from + task.minutes - task.due)
        go(i + 1, late + by, over + from + task.minutes)
      }
      placed.pop()
    }
    lost.push(task.id)
    go(i + 1, late, over)
    lost.pop()
  }
  go(0, 0, 0)
  return best
}

describe('a timetable', () => {
  it('can be carried out, whatever is asked, and no better plan is worse than the one before', () => {
    fc.assert(
      fc.property(small(12), ({ tasks, calendar }) => {
        let before = firstPlan(tasks, calendar)
        for (const plan of betterPlans(tasks, calendar)) {
          expect(faults(tasks, calendar, plan)).toEqual([])
          expect(compare(plan.badness, before.badness)).toBeLessThanOrEqual(0)
          before = plan
        }
      }),
      { numRuns: 60 },
    )
  })

  it('is the best there is where tasks are few', () => {
    fc.assert(
      fc.property(small(4), ({ tasks, calendar }) => {
        expect([...bestPlan(tasks, calendar).badness]).toEqual([...bestByMinutes(tasks, calendar)])
      }),
      { numRuns: 500 },
    )
  })

  it('tells of tasks that wait for each other, and of one that fits nowhere', () => {
    const task = (id: string, more: Partial<Task>): Task => ({
      id,
      editionId: 'e',
      minutes: 2,
      resources: [],
      after: [],
      due: null,
      notBefore: null,
      at: null,
      ...more,
    })
    const calendar: Calendar = { now: 0, open: [{ from: 0, to: 10 }], taken: new Map() }
    const circle = [
      task('a', { after: [{ taskId: 'b', lag: 0 }] }),
      task('b', { after: [{ taskId: 'a', lag: 0 }] }),
      task('c', { minutes: 11 }),
      task('d', { after: [{ taskId: 'c', lag: 0 }] }),
    ]
    expect(bestPlan(circle, calendar)).toMatchObject({ placed: [] })
    expect([...bestPlan(circle, calendar).unplaced].sort()).toEqual(['a', 'b', 'c', 'd'])
  })
})

const free = { notBefore: null, at: null }

describe('what is booked', () => {
  const base = { editionId: 'e', minutes: 3, due: null, after: [], ...free }

  it('stands where it is booked, and the rest goes round it and after it', () => {
    const tasks: Task[] = [
      { ...base, id: 'pull', resources: ['long'] },
      { ...base, id: 'booked', resources: ['long'], at: 2 },
      { ...base, id: 'sign', resources: [], after: [{ taskId: 'booked', lag: 1 }] },
    ]
    const plan = bestPlan(tasks, { now: 0, open: [{ from: 0, to: 20 }], taken: new Map() })
    expect(plan.placed).toEqual([
      { taskId: 'booked', from: 2, to: 5 },
      { taskId: 'pull', from: 5, to: 8 },
      { taskId: 'sign', from: 6, to: 9 },
    ])
  })
})

describe('the latest start', () => {
  it('is reckoned from the due day back, through lags and shut hours', () => {
    const calendar: Calendar = {
      now: 0,
      open: [
        { from: 0, to: 10 },
        { from: 20, to: 30 },
      ],
      taken: new Map([['long', [{ from: 20, to: 24 }]]]),
    }
    const tasks: Task[] = [
      { id: 'pull', editionId: 'e', minutes: 4, resources: ['long'], after: [], due: null, ...free },
      { id: 'sign', editionId: 'e', minutes: 3, resources: [], after: [{ taskId: 'pull', lag: 12 }], due: 28, ...free },
      { id: 'sweep', editionId: 'e', minutes: 3, resources: [], after: [], due: null, ...free },
    ]
    // Signing may begin at 25; the layer dries for 12: pulled by 13, so by the end of the first hours, at 10.
    expect([...latestStarts(tasks, calendar)]).toEqual([
      ['sign', 25],
      ['pull', 6],
      ['sweep', Number.POSITIVE_INFINITY],
    ])
  })
})
