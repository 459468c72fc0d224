import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { without } from '../timetable/spans'
import { changeOver, guessed, learntFactor, minutesOf, type RunAtPress } from './change-over'
import { type DayAsked, type DayRun, inGivenOrder, orderOfDay } from './order-of-day'

const run = (more: Partial<RunAtPress> = {}): RunAtPress => ({
  batchIds: ['black'],
  family: 'oil',
  lightness: 20,
  turns: 4,
  packing: { card: 2, felt: 1 },
  ...more,
})

describe('changing over', () => {
  it('takes nothing for the same ink on the same setting', () => {
    expect(minutesOf(changeOver(run(), run()))).toBe(0)
  })

  it('is wiping where a darker ink of the same family follows, and washing elsewhere', () => {
    const yellow = run({ batchIds: ['yellow'], lightness: 85 })
    expect(changeOver(yellow, run()).wash).toBe(guessed.wipe)
    expect(changeOver(run(), yellow).wash).toBe(guessed.wash)
    expect(changeOver(yellow, run({ family: 'water-based' })).wash).toBe(guessed.wash)
    expect(changeOver(yellow, run({ batchIds: [], lightness: null })).wash).toBe(guessed.wash)
  })

  it('counts the turns of the screws and the pieces that come and go', () => {
    const next = run({ turns: 6.5, packing: { card: 1, blanket: 1, felt: 1 } })
    expect(changeOver(run(), next)).toEqual({ wash: 0, screws: 2.5 * guessed.turn, packing: 2 * guessed.card })
    expect(changeOver(run(), run({ turns: null, packing: null }))).toEqual({ wash: 0, screws: 0, packing: 0 })
  })

  it('is learnt from what it took before, the guess weighing as three', () => {
    expect(learntFactor([])).toEqual({ factor: 1, count: 0 })
    const twice = Array.from({ length: 3 }, () => ({ guess: 10, found: 20 }))
    expect(learntFactor(twice).factor).toBeCloseTo(Math.SQRT2)
    expect(learntFactor([...twice, { guess: 0, found: 9 }, { guess: 8, found: 120 }]).count).toBe(3)
  })
})

const someDay = fc
  .record({
    runs: fc.array(
      fc.record({
        minutes: fc.integer({ min: 5, max: 60 }),
        notBefore: fc.option(fc.nat(200), { nil: null }),
        at: fc.option(fc.nat(300), { nil: null, freq: 5 }),
      }),
      { minLength: 1, maxLength: 6 },
    ),
    gaps: fc.array(fc.nat(30), { minLength: 49, maxLength: 49 }),
    taken: fc.array(
      fc.record({ from: fc.nat(400), to: fc.nat(60) }).map(({ from, to }) => ({ from, to: from + to })),
      { maxLength: 2 },
    ),
  })
  .map(({ runs, gaps, taken }): DayAsked => ({
    runs: runs.map((one, i): DayRun => ({ id: `r${i}`, ...one })),
    start: 0,
    free: without([{ from: 0, to: 600 }], taken),
    between: (before, next) => gaps[(before + 1) * 7 + next]!,
  }))

function* everyOrder(left: readonly number[]): Generator<number[]> {
  if (left.length === 0) yield []
  for (const one of left) for (const rest of everyOrder(left.filter((other) => other !== one))) yield [one, ...rest]
}

describe('the order of the day', () => {
  it('is the best there is, held against every order', () => {
    fc.assert(
      fc.property(someDay, (asked) => {
        const best = orderOfDay(asked)
        const all = [...everyOrder(asked.runs.map((_, i) => i))].flatMap(
          (order) =>
            inGivenOrder({
              ...asked,
              runs: order.map((i) => asked.runs[i]!),
              between: (before, next) => asked.between(before < 0 ? -1 : order[before]!, order[next]!),
            }) ?? [],
        )
        const least = all.sort((a, b) => a.end - b.end || a.changes - b.changes)[0]
        expect(best && [best.end, best.changes]).toEqual(least ? [least.end, least.changes] : null)
      }),
      { numRuns: 400 },
    )
  })

  it('keeps what is booked to its hour, waits for what dries and for the press', () => {
    fc.assert(
      fc.property(someDay, (asked) => {
        for (const { id, from, to, change } of orderOfDay(asked)?.runs ?? []) {
          const own = asked.runs.find((one) => one.id === id)!
          expect(to - from).toBe(own.minutes + change)
          expect(from + change).toBeGreaterThanOrEqual(own.notBefore ?? 0)
          if (own.at !== null) expect(from).toBe(own.at)
          expect(asked.free.some((span) => span.from <= from && to <= span.to)).toBe(true)
        }
      }),
      { numRuns: 200 },
    )
  })

  it('is found for twelve runs within a second, and not looked for among more', () => {
    const twelve: DayAsked = {
      runs: Array.from({ length: 12 }, (_, i) => ({ id: `r${i}`, minutes: 20 + i, notBefore: null, at: null })),
      start: 0,
      free: [{ from: 0, to: 2000 }],
      between: (before, next) => ((before + 2) * 7 + next * 13) % 23,
    }
    const began = performance.now()
    expect(orderOfDay(twelve)!.runs).toHaveLength(12)
    expect(performance.now() - began).toBeLessThan(1000)
    expect(orderOfDay({ ...twelve, runs: [...twelve.runs, { ...twelve.runs[0]!, id: 'one more' }] })).toBeNull()
  })
})
