import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Point } from '../drawing/shapes'
import { clashes } from './outlines'
import { clashWords, jigOf, type RegisterPlan } from './registration'

const square = (name: string, left: number, top: number, side = 40, gap = 0) => ({
  name,
  gap,
  corners: [
    [left, top],
    [left + side, top],
    [left + side, top + side],
    [left, top + side],
  ] as Point[],
})

describe('outlines on one jig', () => {
  it('touch without clashing, as parts of a sawn block do', () => {
    expect(clashes([square('sea', 0, 0), square('sky', 40, 0)])).toEqual([])
  })

  it('clash where they lie on one another, or nearer than one of them wants', () => {
    expect(clashes([square('sea', 0, 0), square('sky', 30, 30)])).toMatchObject([{ names: ['sea', 'sky'], apart: 0 }])
    expect(clashes([square('sea', 0, 0, 40, 5), square('sky', 43, 0)])).toMatchObject([{ apart: 3, wanted: 5 }])
    expect(clashes([square('sea', 0, 0, 40, 5), square('sky', 43, 44)])).toEqual([])
  })

  it('of squares that lie square are as far apart as their corners say', () => {
    const within = fc.integer({ min: -90, max: 90 })
    fc.assert(
      fc.property(within, within, fc.integer({ min: 0, max: 20 }), (x, y, gap) => {
        const [dx, dy] = [Math.abs(x) - 40, Math.abs(y) - 40]
        const apart = Math.hypot(Math.max(0, dx), Math.max(0, dy))
        const overlap = dx < 0 && dy < 0
        const [clash] = clashes([square('a', 0, 0, 40, gap), square('b', x, y)])
        if (!overlap && apart >= gap) expect(clash).toBeUndefined()
        else expect(clash!.apart).toBeCloseTo(overlap ? 0 : apart, 9)
      }),
    )
  })
})

describe('a jig of several blocks', () => {
  const plan: RegisterPlan = {
    sheet: { width: 300, height: 200 },
    outline: { left: 20, top: 20, width: 100, height: 100 },
    image: { left: 0, top: 0, width: 100, height: 100 },
    rotation: 0,
    meeting: 'paper onto block',
    mat: null,
    series: null,
    stops: 0,
    pins: [],
    more: [{ name: 'sky', outline: { left: 130, top: 20, width: 100, height: 100 }, rotation: 0, gap: 0 }],
  }

  it('mirrors each of them with the sheet', () => {
    const [sky] = jigOf(plan).more
    expect(sky!.corners).toEqual([
      [170, 20],
      [70, 20],
      [70, 120],
      [170, 120],
    ])
    expect(jigOf({ ...plan, meeting: 'block onto paper' }).more[0]!.corners[0]).toEqual([130, 20])
  })

  it('says which of them do not fit, turned as they are', () => {
    expect(clashWords(plan, 'The key block')).toEqual([])
    const turned = plan.more.map((one) => ({ ...one, rotation: 45 }))
    expect(clashWords({ ...plan, more: turned }, 'The key block')).toEqual([
      expect.stringContaining('The key block and sky lie on one another'),
    ])
  })
})
