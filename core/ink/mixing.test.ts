import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { filmOfRun, gramsAnImpression, heldGrams, inkAmount, inkGuesses, type InkJob, shopFilm } from './amount'
import { correct, fillsHundred, fractionsOf, heldOf, weightsOf } from './recipe'
import { type Ingredient, mixWarnings } from './suits'

describe('shares and weights', () => {
  it('parts, percents and grams come to the same fractions', () => {
    expect(fractionsOf([6, 3, 1])).toEqual([0.6, 0.3, 0.1])
    expect(fractionsOf([120, 60, 20])).toEqual([0.6, 0.3, 0.1])
    expect(() => fractionsOf([0, 0])).toThrow('above zero')
    expect(() => fractionsOf([2, -1])).toThrow('zero or more')
    expect(fillsHundred([33.3, 33.3, 33.3])).toBe(true)
    expect(fillsHundred([60, 30])).toBe(false)
  })

  it('weights are whole milligrams that add up exactly', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 999 }), { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 1, max: 900_000 }),
        (parts, milligrams) => {
          const weights = weightsOf(fractionsOf(parts), milligrams)
          expect(weights.reduce((sum, weight) => sum + weight, 0)).toBe(milligrams)
          expect(
            weights.every(
              (weight, i) =>
                Number.isInteger(weight) &&
                Math.abs(weight - (parts[i]! / parts.reduce((a, b) => a + b)) * milligrams) < 1,
            ),
          ).toBe(true)
        },
      ),
    )
  })
})

describe('an over-pour', () => {
  it('has the worked correction', () => {
    const found = correct([30, 18, 4], [0.6, 0.3, 0.1], 52)
    expect(found).toEqual({ total: expect.closeTo(60, 9), add: [expect.closeTo(6, 9), 0, expect.closeTo(2, 9)] })
  })

  it('says what can never be corrected', () => {
    expect(correct([30, 2], [1, 0], 30)).toEqual({ uncorrectable: [1] })
    expect(() => correct([1, 1], [0.5, 0.4], 2)).toThrow('add up')
    expect(() => correct([-1, 1], [0.5, 0.5], 2)).toThrow('zero or more')
  })

  it('ends at the wanted shares with the least that can be added', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ part: fc.integer({ min: 1, max: 50 }), poured: fc.integer({ min: 0, max: 500 }) }), {
          minLength: 1,
          maxLength: 6,
        }),
        fc.integer({ min: 0, max: 900 }),
        (given, wanted) => {
          const fractions = fractionsOf(given.map((one) => one.part))
          const poured = given.map((one) => one.poured)
          const found = correct(poured, fractions, wanted)
          if (!('add' in found)) throw new Error('every part is above zero')
          expect(found.total).toBeGreaterThanOrEqual(wanted - 1e-9)
          found.add.forEach((add, i) => {
            expect(add).toBeGreaterThanOrEqual(0)
            expect(poured[i]! + add).toBeCloseTo(fractions[i]! * found.total, 6)
          })
          // Less in all would leave something to take out, or miss the weight wanted.
          const tight = found.total - wanted < 1e-9 || found.add.some((add) => add < 1e-9)
          expect(tight).toBe(true)
        },
      ),
    )
  })

  it('a left-over is topped up from what it holds', () => {
    expect(heldOf([60_000, 40_000], 25_000)).toEqual([15_000, 10_000])
    expect(heldOf([0, 0], 5)).toEqual([0, 0])
    expect(heldOf([], 5)).toEqual([])
    expect(correct([15, 10], [0.5, 0.5], 40)).toEqual({ total: 40, add: [5, 10] })
  })
})

describe('how much ink', () => {
  const job: InkJob = {
    blockArea: 60_000,
    inkedShare: 0.6,
    wipedShare: 0,
    impressions: 1,
    sessions: 0,
    rollerSurface: 0,
    slabArea: 0,
  }

  it('an impression of 300 × 200 mm at 60 %, 8 µm, 1.1 g/cm³ takes 0.3168 g', () => {
    expect(gramsAnImpression(60_000, 0.6, 8, 1.1)).toBeCloseTo(0.3168, 10)
    expect(inkAmount(job, inkGuesses.press)).toMatchObject({
      prints: expect.closeTo(0.3168, 10),
      total: expect.closeTo(0.34848, 10),
    })
  })

  it('adds wiping, what roller and slab hold at every wash-up, and handling', () => {
    const amount = inkAmount(
      { ...job, impressions: 40, wipedShare: 0.1, sessions: 2, rollerSurface: 30_000, slabArea: 45_000 },
      inkGuesses.press,
    )
    expect(amount.prints).toBeCloseTo(12.672, 9)
    expect(amount.wiped).toBeCloseTo(2.112, 9)
    expect(amount.held).toBeCloseTo(3.3, 9)
    expect(amount.loss).toBeCloseTo(1.8084, 9)
    expect(amount.total).toBeCloseTo(amount.prints + amount.wiped + amount.held + amount.loss, 9)
  })

  it('a weighed run gives its film back, and the shop’s film leans on it by area', () => {
    const guess = { ...inkGuesses.press, film: 7 }
    const planned = inkAmount({ ...job, impressions: 50, sessions: 1, rollerSurface: 30_000, slabArea: 40_000 }, guess)
    const run = {
      mixed: planned.total + 6,
      left: 4,
      scraped: 2,
      area: 60_000 * 0.6 * 50,
      sessions: 1,
      rollerSurface: 30_000,
      slabArea: 40_000,
    }
    expect(filmOfRun(run, inkGuesses.press)).toBeCloseTo(7, 9)
    expect(filmOfRun({ ...run, area: 0 }, inkGuesses.press)).toBeNull()
    expect(filmOfRun({ ...run, mixed: 6.5 }, inkGuesses.press)).toBeNull()
    expect(shopFilm([], 8)).toEqual({ film: 8, area: 0 })
    expect(shopFilm([{ film: 6, area: 3_000_000 }], 8).film).toBeCloseTo(6.5, 12)
    expect(heldGrams({ sessions: 1, rollerSurface: 50_000, slabArea: 0 }, 20, 1.1)).toBeCloseTo(1.1, 12)
  })
})

describe('what suits a mix', () => {
  const stirred = (more: Partial<Ingredient>): Ingredient[] => [
    { name: 'the stuff', nature: 'oil', family: 'oil', share: 0.04, limits: null, ...more },
  ]

  it('warns outside the label’s range, and not inside it', () => {
    expect(mixWarnings('oil', stirred({ limits: { least: 1, most: 5 } }))).toEqual([])
    expect(mixWarnings('oil', stirred({ share: 0.08, limits: { least: 1, most: 5 } }))).toEqual([
      'the stuff is 8 % of the mix; its label says 1 to 5 %.',
    ])
    expect(mixWarnings('oil', stirred({ share: 0.005, limits: { least: 1, most: 5 } }))[0]).toContain('0.5 %')
    expect(mixWarnings('oil', stirred({ share: 0, family: 'water-based' }))).toEqual([])
  })

  it('warns when washability, drying or the mix itself would go', () => {
    expect(mixWarnings('water-washable oil', stirred({}))[0]).toContain('no longer wash out with water')
    expect(mixWarnings('water-based', stirred({}))[0]).toContain('do not mix')
    expect(mixWarnings('oil', stirred({ family: 'water-washable oil' }))[0]).toContain('still wash')
    expect(mixWarnings('rubber-based', stirred({ nature: 'drier', family: 'other' }))[0]).toContain('tacky')
    expect(mixWarnings('water-based', stirred({ nature: 'drier', family: 'other' }))[0]).toContain('separate')
    expect(mixWarnings('water-washable oil', stirred({ family: 'other' }))[0]).toContain('plain oil')
    expect(mixWarnings('rubber-based', stirred({ nature: 'pigment' }))[0]).toContain('dry')
  })
})
