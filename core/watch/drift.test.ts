import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { designFor, driftDesign, driftOf } from './drift'
import { sameFault, sameFaultFalseAfter } from './same-fault'
import { inkTrend } from './trend'
import { yieldOf } from './yield'

/** A small generator of numbers from 0 to 1, the same on every run. */
function chance(seed: number) {
  let state = seed
  return () => {
    state = (state * 1664525 + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

describe('yield', () => {
  it('has the Wilson interval', () => {
    const told = yieldOf(9, 10)!
    expect(told.low).toBeCloseTo(0.5958, 3)
    expect(told.high).toBeCloseTo(0.9821, 3)
    expect(yieldOf(0, 0)).toBeNull()
    expect(yieldOf(5, 5)).toMatchObject({ high: 1 })
    expect(yieldOf(0, 5)).toMatchObject({ low: 0 })
  })

  it('narrows with more pulls and holds the share', () => {
    fc.assert(
      fc.property(fc.nat(60), fc.nat(60), (good, bad) => {
        const told = yieldOf(good, good + bad)
        if (!told) return
        expect(told.low).toBeLessThanOrEqual(told.share)
        expect(told.high).toBeGreaterThanOrEqual(told.share)
        const more = yieldOf(good * 4, (good + bad) * 4)!
        expect(more.high - more.low).toBeLessThan(told.high - told.low)
      }),
    )
  })
})

describe('drift', () => {
  it('is laid out as the model says', () => {
    const design = driftDesign(0.12)
    expect(design.bad).toBeCloseTo(0.24)
    expect(design.limit).toBeCloseTo(2.19, 1)
    expect(Math.round(design.falseAfter)).toBe(202)
    expect(Math.round(design.foundAfter)).toBe(30)
    expect(design.step).toBeLessThanOrEqual(0.015)
  })

  it.each([0, 1, -0.1, 1.2, Number.NaN])('cannot be laid out for %s', (share) => {
    expect(() => driftDesign(share)).toThrow(RangeError)
  })

  it('keeps its false alarms 200 pulls apart for any planned share, and one grid step lower would not', () => {
    for (const share of [0.001, 0.006, 0.02, 0.05, 0.12, 0.25, 0.4, 0.7, 0.95, 0.999]) {
      const design = driftDesign(share)
      expect(design.falseAfter).toBeGreaterThanOrEqual(200)
      expect(design.foundAfter).toBeLessThan(design.falseAfter)
    }
    expect(designFor(0).planned).toBe(0.001)
    expect(designFor(1).planned).toBe(0.999)
    expect(designFor(0.1201)).toBe(designFor(0.12))
  })

  it.each([0.03, 0.12, 0.3])('comes true in a simulated run planned at %s', (share) => {
    const design = driftDesign(share)
    for (const [rate, told] of [
      [share, design.falseAfter],
      [design.bad, design.foundAfter],
    ] as const) {
      const next = chance(7)
      const runs = 4000
      let pulls = 0
      for (let run = 0; run < runs; run++) {
        let score = 0
        while (score < design.limit - 1e-9) {
          pulls += 1
          score = Math.max(0, score + (next() < rate ? design.up : -design.down))
        }
      }
      // The mean of 4,000 runs of about geometric length is off by some 1.6 %.
      expect(Math.abs(pulls / runs / told - 1)).toBeLessThan(0.06)
    }
  })

  it('names the pulls behind it, stays up until started anew, and forgets a lone reject', () => {
    const design = driftDesign(0.12)
    expect(driftOf(design, [])).toEqual({ score: 0, isAlarm: false, pulls: 0, bad: 0 })
    expect(driftOf(design, [false, false])).toMatchObject({ score: 0, pulls: 0 })
    expect(driftOf(design, [true, ...Array<boolean>(6).fill(false)])).toMatchObject({ score: 0, isAlarm: false })
    const alarm = driftOf(design, [false, true, false, true, true, true, false])
    expect(alarm).toMatchObject({ isAlarm: true, bad: 4, pulls: 6 })
    expect(driftOf(design, [true, true, true, true, ...Array<boolean>(60).fill(false)]).isAlarm).toBe(true)
  })
})

describe('the same fault on three of five', () => {
  it('is seen whatever stands beside it, and only in the last five', () => {
    expect(sameFault([['salt'], [], ['salt', 'slur'], ['slur'], ['salt']])).toEqual({ fault: 'salt', times: 3, of: 5 })
    expect(sameFault([['salt'], ['salt'], ['salt'], [], [], []])).toBeNull()
    expect(sameFault([['salt', 'salt', 'salt']])).toBeNull()
  })

  it('speaks falsely as rarely as it says', () => {
    for (const share of [0.1, 0.3]) {
      const next = chance(11)
      const runs = 4000
      let pulls = 0
      for (let run = 0; run < runs; run++) {
        let last: boolean[] = []
        do {
          pulls += 1
          last = [...last, next() < share].slice(-5)
        } while (last.filter(Boolean).length < 3)
      }
      expect(Math.abs(pulls / runs / sameFaultFalseAfter(share) - 1)).toBeLessThan(0.06)
    }
    expect(sameFaultFalseAfter(1)).toBeCloseTo(3)
  })
})

describe('ink trend', () => {
  it('warns when graded pulls go one way, with the limit of one spread', () => {
    expect(inkTrend([]).limit).toBeCloseTo(2.7 * Math.sqrt(0.3 / 1.7))
    expect(inkTrend([0, 1, -1, 0, 1, 0])).toMatchObject({ isAlarm: false, graded: 6 })
    expect(inkTrend([1, 2, 2, 2])).toMatchObject({ isAlarm: true })
    expect(inkTrend([-2, -2, -1, -2]).average).toBeLessThan(0)
  })

  it('starts anew after an adjustment and learns its spread from twenty grades', () => {
    expect(inkTrend([2, 2, 2, 2, 'adjusted', 0])).toMatchObject({ isAlarm: false, graded: 1, average: 0 })
    const steady = Array.from({ length: 24 }, (_, i) => (i % 8 === 0 ? 1 : 0))
    const learnt = inkTrend([...steady, 'adjusted', 0])
    expect(learnt.limit).toBeLessThan(inkTrend([]).limit / 2)
    expect(inkTrend([...Array<number>(24).fill(0), 'adjusted']).limit).toBeGreaterThan(0)
  })
})
