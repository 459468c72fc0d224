import fc from 'fast-check'
import { expect, it } from 'vitest'
import { supportFor } from './levelling'

const bed = { width: 400, height: 300 }

it('a print in the middle wants no support, and one without area none either', () => {
  expect(supportFor(20_000, { x: 4, y: 0 }, bed)).toBeNull()
  expect(supportFor(0, { x: 90, y: 0 }, bed)).toBeNull()
})

it('support lies on the platen, opposite, and its moment is the print’s', () => {
  const place = fc.record({ x: fc.integer({ min: -180, max: 180 }), y: fc.integer({ min: -130, max: 130 }) })
  fc.assert(
    fc.property(place, fc.integer({ min: 500, max: 60_000 }), (centre, area) => {
      const support = supportFor(area, centre, bed)
      fc.pre(support !== null)
      expect(Math.abs(support!.x)).toBeLessThanOrEqual(200)
      expect(Math.abs(support!.y)).toBeLessThanOrEqual(150)
      expect(support!.area * support!.x).toBeCloseTo(-area * centre.x, 3)
      expect(support!.area * support!.y).toBeCloseTo(-area * centre.y, 3)
    }),
  )
})
