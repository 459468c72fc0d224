import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  addTouch,
  type DryingConditions,
  dryingDefaults,
  dryingOf,
  dryingPapers,
  expectedHours,
  factorOf,
  hoursToOverprint,
  momentsInOrder,
} from './moments'
import { inkFamilies } from '../ink/family'

const usual: DryingConditions = {
  ...dryingDefaults,
  family: 'oil',
  temperature: 20,
  humidity: 50,
  film: 8,
  isDamp: false,
  beneath: 0,
  onAbsorbing: false,
}
const cold = { ...usual, temperature: 15, humidity: 60, paper: 'hard' as const, beneath: 1 }

const anyOf = fc.record({
  family: fc.constantFrom(...inkFamilies),
  temperature: fc.double({ min: 5, max: 35, noNaN: true }),
  humidity: fc.double({ min: 10, max: 90, noNaN: true }),
  film: fc.double({ min: 3, max: 20, noNaN: true }),
  paper: fc.constantFrom(...dryingPapers),
  isDamp: fc.boolean(),
  stillAir: fc.boolean(),
  drier: fc.boolean(),
  beneath: fc.nat(6),
  onAbsorbing: fc.boolean(),
})

describe('drying', () => {
  it('takes as long as the model says', () => {
    expect(hoursToOverprint(usual)).toBe(48)
    expect(hoursToOverprint(cold)).toBeCloseTo(135.9, 1)
    const { overprint } = dryingOf(cold).moments
    expect([Math.round(overprint.from), Math.round(overprint.to)]).toEqual([68, 272])
    expect(hoursToOverprint({ ...usual, beneath: 2 })).toBeCloseTo(48 * 1.69)
    expect(hoursToOverprint({ ...usual, beneath: 2, onAbsorbing: true })).toBeCloseTo(48 * 1.6)
  })

  it('goes by its moments in order, and a hardened oil film refuses the next layer', () => {
    fc.assert(
      fc.property(anyOf, (by) => {
        const { moments, latest } = dryingOf(by)
        const [touch, overprint, stack, ship] = momentsInOrder.map((moment) => moments[moment])
        expect(touch!.from).toBeLessThan(overprint!.from)
        expect(overprint!.from).toBeLessThan(stack!.from)
        expect(stack!.from).toBeLessThan(ship!.from)
        for (const moment of momentsInOrder) {
          expect(moments[moment].from).toBeLessThan(expectedHours(by, moment))
          expect(moments[moment].to).toBeGreaterThan(expectedHours(by, moment))
        }
        if (latest !== null) expect(latest).toBeGreaterThan(moments.overprint.to)
      }),
    )
    expect(dryingOf({ ...usual, family: 'water-based' }).latest).toBeNull()
  })

  it('is slower cold, moist, thick, hard, damp and still, and faster with a drier', () => {
    const slower: Partial<DryingConditions>[] = [
      { temperature: 15 },
      { humidity: 70 },
      { film: 12 },
      { paper: 'hard' },
      { isDamp: true },
      { stillAir: true },
      { beneath: 1 },
    ]
    for (const change of slower) expect(hoursToOverprint({ ...usual, ...change })).toBeGreaterThan(48)
    expect(hoursToOverprint({ ...usual, drier: true })).toBe(24)
  })

  it('learns from touch tests, the guess counting as three', () => {
    expect(factorOf(undefined)).toBe(1)
    expect(factorOf({ logs: Math.log(2), tests: 1 })).toBeCloseTo(2 ** 0.25)
    const both = addTouch(
      { oil: { logs: 1, tests: 2 } },
      { oil: { logs: 0.5, tests: 1 }, other: { logs: 1, tests: 1 } },
    )
    expect(both).toEqual({ oil: { logs: 1.5, tests: 3 }, other: { logs: 1, tests: 1 } })
    expect(addTouch(both, { oil: { logs: 1.5, tests: 3 } }, -1)).toEqual({ other: { logs: 1, tests: 1 } })
  })
})
