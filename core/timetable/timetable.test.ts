import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { criticalChain } from './chain'
import { latestStarts } from './latest'
import { compare } from './lateness'
import { bestPlan, betterPlans, firstPlan } from './plan'
import { firstFit, lastFit, merged, type Span, takeOut, without } from './spans'
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
        expect(firstFit([open], minutes, edge)).toBe(fits.find((start) => start >= edge) ?? null)
        expect(lastFit(open, minutes, edge)).toBe(fits.findLast((start) => start + minutes <= edge) ?? null)
      }),
    )
  })
})

describe('rows of spans', () => {
  it('have a place for what fits into each of them', () => {
    fc.assert(
      fc.property(spans, spans, fc.integer({ min: 1, max: 5 }), fc.nat(40), (one, other, minutes, edge) => {
        const rows = [merged(one), merged(other)]
        const fits = Array.from({ length: 60 }, (_, start) => start).filter((start) =>
          rows.every((row) => row.some(({ from, to }) => from <= start && start + minutes <= to)),
        )
        expect(firstFit(rows, minutes, edge)).toBe(fits.find((start) => start >= edge) ?? null)
      }),
    )
  })

  it('lose what is taken out of them, and nothing else', () => {
    fc.assert(
      fc.property(spans, spans, (open, taken) => {
        const row = merged(open)
        for (const span of taken) takeOut(row, span)
        expect(row).toEqual(without(open, taken))
      }),
    )
  })
})

const noSheets = { sheets: 0, dries: 0 }
const noRacks = { slots: null, lying: [] }

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
        after:
          i > 0 && next() % 2
            ? [{ taskId: `t${next() % i}`, lag: next() % 3, within: next() % 3 ? null : next() % 5 }]
            : [],
        due: next() % 2 ? 3 + (next() % 9) : null,
        notBefore: next() % 6 === 0 ? next() % 5 : null,
        beginBy: next() % 6 === 0 ? next() % 8 : null,
        at: null,
        ...(next() % 3 ? { sheets: next() % 6, dries: next() % 4 } : noSheets),
      }))
      const calendar: Calendar = {
        now: 0,
        open,
        taken: new Map(booked ? [['long', [{ from: 3, to: 5 }]]] : []),
        racks: {
          slots: next() % 2 ? 4 : null,
          lying: next() % 3 ? [] : [{ from: 0, to: next() % 7, sheets: 1 + (next() % 4) }],
        },
      }
      return { tasks, calendar }
    })

/** Whether a plan can be carried out. */
function faults(
  tasks: readonly Task[],
  { now, open, taken, racks }: Calendar,
  { placed, unplaced }: Timetable,
): string[] {
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
  const { slots } = racks
  for (let minute = 0; slots !== null && minute < 40; minute++) {
    const piles = placed.flatMap(({ taskId, from, to }) => {
      const { sheets, dries } = tasks.find(({ id }) => id === taskId)!
      return from <= minute && minute < to + dries ? Math.min(sheets, slots) : []
    })
    const lying = racks.lying.flatMap(({ from, to, sheets }) => (from <= minute && minute < to ? sheets : []))
    const sum = [...piles, ...lying].reduce((all, sheets) => all + sheets, 0)
    if (piles.some((sheets) => sheets > 0) && sum > slots) found.push(`the racks hold ${sum} at ${minute}`)
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
        const hard = task.beginBy === null ? 0 : Math.max(0, from - task.beginBy)
        go(i + 1, late + by + hard, over + from + task.minutes)
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
      beginBy: null,
      at: null,
      ...noSheets,
      ...more,
    })
    const calendar: Calendar = { now: 0, open: [{ from: 0, to: 10 }], taken: new Map(), racks: noRacks }
    const circle = [
      task('a', { after: [{ taskId: 'b', lag: 0, within: null }] }),
      task('b', { after: [{ taskId: 'a', lag: 0, within: null }] }),
      task('c', { minutes: 11 }),
      task('d', { after: [{ taskId: 'c', lag: 0, within: null }] }),
    ]
    expect(bestPlan(circle, calendar)).toMatchObject({ placed: [] })
    expect([...bestPlan(circle, calendar).unplaced].sort()).toEqual(['a', 'b', 'c', 'd'])
  })
})

const free = { notBefore: null, beginBy: null, at: null, ...noSheets }

describe('what is booked', () => {
  const base = { editionId: 'e', minutes: 3, due: null, after: [], ...free }

  it('stands where it is booked, and the rest goes round it and after it', () => {
    const tasks: Task[] = [
      { ...base, id: 'pull', resources: ['long'] },
      { ...base, id: 'booked', resources: ['long'], at: 2 },
      { ...base, id: 'sign', resources: [], after: [{ taskId: 'booked', lag: 1, within: null }] },
    ]
    const plan = bestPlan(tasks, { now: 0, open: [{ from: 0, to: 20 }], taken: new Map(), racks: noRacks })
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
      racks: noRacks,
    }
    const tasks: Task[] = [
      { id: 'pull', editionId: 'e', minutes: 4, resources: ['long'], after: [], due: null, ...free },
      {
        id: 'sign',
        editionId: 'e',
        minutes: 3,
        resources: [],
        after: [{ taskId: 'pull', lag: 12, within: null }],
        due: 28,
        ...free,
      },
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

describe('the racks', () => {
  const open = [{ from: 0, to: 40 }]
  const layer = (id: string, press: string, more: Partial<Task> = {}): Task => ({
    id,
    editionId: id,
    minutes: 2,
    resources: [press],
    after: [],
    due: null,
    ...free,
    sheets: 6,
    dries: 5,
    ...more,
  })
  const placedFrom = (tasks: Task[], racks: Calendar['racks']) => {
    const { placed } = bestPlan(tasks, { now: 0, open, taken: new Map(), racks })
    return Object.fromEntries(placed.map(({ taskId, from }) => [taskId, from]))
  }

  it('hold what was pulled until it is dry: another run waits for its places, at another press too', () => {
    const tasks = [layer('a', 'long'), layer('b', 'small')]
    expect(placedFrom(tasks, noRacks)).toEqual({ a: 0, b: 0 })
    expect(placedFrom(tasks, { slots: 12, lying: [] })).toEqual({ a: 0, b: 0 })
    expect(placedFrom(tasks, { slots: 11, lying: [] })).toEqual({ a: 0, b: 7 })
    expect(placedFrom(tasks, { slots: 12, lying: [{ from: 0, to: 3, sheets: 1 }] })).toEqual({ a: 0, b: 3 })
  })

  it('that are smaller than a run are given to it alone', () => {
    const tasks = [layer('a', 'long'), layer('b', 'small', { sheets: 90 })]
    expect(placedFrom(tasks, { slots: 10, lying: [] })).toEqual({ a: 0, b: 7 })
  })

  it('hold what is booked whatever lies there, and nothing is laid over it', () => {
    const tasks = [layer('a', 'long', { at: 1 }), layer('b', 'small', { at: 2 }), layer('c', 'third')]
    expect(placedFrom(tasks, { slots: 7, lying: [] })).toEqual({ a: 1, b: 2, c: 9 })
  })

  it('are what holds a run up, by those whose sheets lie there', () => {
    const tasks = [layer('a', 'long'), layer('b', 'small')]
    const racks = { slots: 6, lying: [] }
    const plan = bestPlan(tasks, { now: 0, open, taken: new Map(), racks })
    expect(criticalChain(tasks, plan, racks, 'b').map(({ taskId, because }) => [taskId, because.kind])).toEqual([
      ['a', 'hours'],
      ['b', 'racks'],
    ])
    const lying = { slots: 6, lying: [{ from: 0, to: 9, sheets: 1 }] }
    const later = bestPlan([layer('a', 'long')], { now: 0, open, taken: new Map(), racks: lying })
    expect(criticalChain([layer('a', 'long')], later, lying, 'a')).toEqual([
      { taskId: 'a', from: 9, to: 11, because: { kind: 'racks', taskId: null } },
    ])
  })
})
