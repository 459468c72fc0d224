import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chanceOfGood } from '../plan/beta-binomial'
import { byTheBell } from './bell'

const rate = { passed: 8, rejected: 2 }
const evening = { minutes: 24, pace: 4, sheets: 10, needed: 3, rate }

/** P(X ≥ needed), by averaging the plain binomial over the rate, slowly. */
function slowly(needed: number, n: number, a: number, b: number): number {
  const steps = 20_000
  let sum = 0
  let weight = 0
  for (let i = 0; i < steps; i++) {
    const p = (i + 0.5) / steps
    const density = p ** (a - 1) * (1 - p) ** (b - 1)
    let tail = 0
    let ways = 1
    for (let k = 0; k <= n; k++) {
      if (k >= needed) tail += ways * p ** k * (1 - p) ** (n - k)
      ways = (ways * (n - k)) / (k + 1)
    }
    sum += density * tail
    weight += density
  }
  return sum / weight
}

describe('the chance of so many good ones', () => {
  it('is the one worked out by hand', () => {
    expect(chanceOfGood(3, 6, rate)).toBeCloseTo(0.953, 4)
  })

  it.each([
    [3, 6, 8, 2],
    [1, 1, 23, 2],
    [20, 24, 18, 2],
    [5, 30, 2.5, 7.5],
  ])('%i of %i at Beta(%d, %d) is what averaging says', (needed, n, a, b) => {
    expect(chanceOfGood(needed, n, { passed: a, rejected: b })).toBeCloseTo(slowly(needed, n, a, b), 6)
  })

  it('never falls with more pulls, nor rises with more wanted', () => {
    const beta = fc.record({
      passed: fc.double({ min: 0.5, max: 200, noNaN: true }),
      rejected: fc.double({ min: 0.5, max: 50, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 80 }), fc.integer({ min: 0, max: 120 }), beta, (needed, n, given) => {
        const chance = chanceOfGood(needed, n, given)
        expect(chance).toBeGreaterThanOrEqual(0)
        expect(chance).toBeLessThanOrEqual(1 + 1e-12)
        expect(chanceOfGood(needed, n + 1, given)).toBeGreaterThanOrEqual(chance - 1e-9)
        expect(chanceOfGood(needed + 1, n, given)).toBeLessThanOrEqual(chance + 1e-9)
      }),
    )
  })
})

describe('by the bell', () => {
  it('counts the pulls that fit, and no more than there are sheets', () => {
    expect(byTheBell(evening)).toMatchObject({ pulls: 6, help: null })
    expect(byTheBell({ ...evening, sheets: 4 }).pulls).toBe(4)
    expect(byTheBell({ ...evening, minutes: -3 })).toMatchObject({ pulls: 0, chance: 0 })
    expect(byTheBell({ ...evening, needed: 0, minutes: 0 })).toEqual({ pulls: 0, chance: 1, help: null })
  })

  it('names only what helps', () => {
    const short = byTheBell({ ...evening, minutes: 8 })
    expect(short.help).toMatchObject({ sheets: null, both: null })
    const bare = byTheBell({ ...evening, sheets: 3 })
    expect(bare.help).toMatchObject({ minutes: null, both: null })
    const all = byTheBell({ ...evening, minutes: 8, sheets: 2 })
    expect(all.help).toMatchObject({ minutes: null, sheets: null })
    expect(all.help!.both).not.toBeNull()
  })

  it('names the least that helps', () => {
    const given = fc.record({
      minutes: fc.integer({ min: -10, max: 120 }),
      pace: fc.double({ min: 0.5, max: 20, noNaN: true }),
      sheets: fc.integer({ min: 0, max: 40 }),
      needed: fc.integer({ min: 1, max: 25 }),
      rate: fc.record({
        passed: fc.double({ min: 5, max: 60, noNaN: true }),
        rejected: fc.double({ min: 0.5, max: 10, noNaN: true }),
      }),
    })
    fc.assert(
      fc.property(given, (before) => {
        const { help } = byTheBell(before)
        if (!help) return
        const from = { ...before, minutes: Math.max(0, before.minutes) }
        const with_ = (minutes: number, sheets: number, fewer = 0) =>
          byTheBell({
            ...from,
            minutes: from.minutes + minutes,
            sheets: from.sheets + sheets,
            needed: from.needed - fewer,
          }).help === null
        const { minutes, sheets, both, fewer } = help
        if (minutes !== null) expect([with_(minutes, 0), with_(minutes - 1, 0)]).toEqual([true, false])
        if (sheets !== null) expect([with_(0, sheets), with_(0, sheets - 1)]).toEqual([true, false])
        if (both) {
          expect(with_(both.minutes, both.sheets)).toBe(true)
          expect(with_(both.minutes - 1, both.sheets)).toBe(false)
          expect(with_(both.minutes, both.sheets - 1)).toBe(false)
        }
        expect(with_(0, 0, fewer)).toBe(true)
        if (fewer > 1) expect(with_(0, 0, fewer - 1)).toBe(false)
      }),
      { numRuns: 500 },
    )
  })
})
