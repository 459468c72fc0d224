import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import type { Point } from '../drawing/shapes'
import { settlingWords } from '../run/recall-words'
import { asTorn, factors, type Growth, misfit, settlingFault } from './growth'
import { jigOf, type RegisterPlan, registrationSheet } from './registration'

const growth: Growth = { width: { before: 200, after: 202 }, height: { before: 250, after: 251 } }
const plan: RegisterPlan = {
  sheet: { width: 300, height: 230 },
  outline: { left: 40, top: 25, width: 200, height: 150 },
  image: { left: 10, top: 8, width: 180, height: 130 },
  rotation: 2,
  meeting: 'paper onto block',
  mat: { left: 45, top: 30, width: 190, height: 140 },
  series: { topLine: 30, footLine: 40 },
  stops: 20,
  pins: [{ x: 60, y: -8, diameter: 6, height: null }],
  more: [],
}

const middle = (points: Point[]): Point => [
  points.reduce((sum, [x]) => sum + x, 0) / points.length,
  points.reduce((sum, [, y]) => sum + y, 0) / points.length,
]
const side = ([a, b]: Point[]) => Math.hypot(b![0] - a![0], b![1] - a![1])

describe('paper that grew', () => {
  it('takes positions along and leaves the block its size', () => {
    const [torn, grown] = [jigOf(plan), jigOf(plan, growth)]
    expect(factors(growth)).toEqual([1.01, 1.004])
    expect(grown.size).toEqual({ width: 303, height: 230.92 })
    expect(side(grown.outline)).toBeCloseTo(side(torn.outline))
    expect(side(grown.image)).toBeCloseTo(side(torn.image))
    expect(middle(grown.outline)[0]).toBeCloseTo(middle(torn.outline)[0] * 1.01)
    expect(middle(grown.outline)[1]).toBeCloseTo(middle(torn.outline)[1] * 1.004)
    expect(grown.pins[0]).toMatchObject({ x: 242.4, diameter: 6 })
    expect(side(grown.mat!)).toBeCloseTo(190 * 1.01)
    expect(registrationSheet(plan, 'Tide Gauge', growth).width).toBeCloseTo(registrationSheet(plan, 'x').width + 3)
  })

  it('lies over a block as the block lies under it: one jig is the other’s mirror', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.96, max: 1.05, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        (g, t) => {
          const grew = { width: { before: 100, after: 100 * g }, height: { before: 100, after: 100 / g } }
          const onto = jigOf({ ...plan, rotation: t }, grew)
          const set = jigOf({ ...plan, rotation: t, meeting: 'block onto paper' }, grew)
          for (const part of ['sheet', 'outline', 'image'] as const)
            onto[part].forEach(([x, y], i) => {
              expect(x).toBeCloseTo(set.size.width - set[part][i]![0])
              expect(y).toBeCloseTo(set[part][i]![1])
            })
        },
      ),
    )
  })

  it('misses a layer that was printed on paper of another size', () => {
    const [x, y] = misfit(plan.image, null, growth)
    expect(x).toBeCloseTo(1.8)
    expect(y).toBeCloseTo(0.52)
    expect(misfit(plan.image, growth, growth)).toEqual([0, 0])
  })

  it('is measured between marks far enough apart, and moves no further than paper does', () => {
    expect(settlingFault({ passes: 2, growth })).toBeNull()
    expect(settlingFault({ passes: -1, growth: null })?.field).toBe('passes')
    expect(settlingFault({ passes: 0, growth: { ...growth, width: { before: 20, after: 20 } } })?.field).toBe('width')
    expect(settlingFault({ passes: 0, growth: { ...growth, height: { before: 100, after: 107 } } })?.message).toMatch(
      /more than any paper moves/,
    )
    expect(settlingFault({ passes: 0, growth: { ...growth, height: { before: 100, after: NaN } } })).not.toBeNull()
  })
})

it('a layer asks for blank passes and its paper’s growth, and says both to whoever prints it again', () => {
  const at = new PressTable().tear(2)
  const settled = () => at.edition.layers[0]!.settling
  expect(settled()).toEqual(asTorn)
  at.must('settle-paper', { layerId: at.layer, settling: { passes: 2, growth } })
  expect(settlingWords(at.edition.layers[0]!)).toEqual([
    'Each sheet goes through the press blank 2 times first.',
    'The paper was measured then: 1.00 % along its width, 0.40 % along its height.',
  ])
  expect(at.give('settle-paper', { layerId: at.layer, settling: { passes: 99, growth: null } }).refusal).toMatchObject({
    code: 'settling-unfit',
  })
  expect(at.give('settle-paper', { layerId: 'none', settling: asTorn }).refusal).toMatchObject({
    code: 'unknown-layer',
  })
  expect(settled().passes).toBe(2)
})
