import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Point } from '../drawing/shapes'
import { clashes, placeBeside } from './outlines'
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

describe('a part locked up beside others', () => {
  const sheet = { width: 300, height: 230 }
  const headland = { left: 30, top: 30, width: 200, height: 100 }

  it('goes under the first where there is no room to its right, and the next beside that', () => {
    const sea = placeBeside(sheet, [headland], { width: 120, height: 80 })
    expect(sea).toEqual({ left: 30, top: 130, width: 120, height: 80 })
    expect(placeBeside(sheet, [headland, sea], { width: 80, height: 80 })).toMatchObject({ left: 150, top: 130 })
    expect(placeBeside(sheet, [headland], { width: 60, height: 80 })).toMatchObject({ left: 230, top: 30 })
  })

  it('lies over the first where the sheet has no room beside', () => {
    expect(placeBeside(sheet, [headland], { width: 250, height: 150 })).toMatchObject({ left: 30, top: 30 })
  })

  it('never lies on another part nor off the sheet where it was given a place', () => {
    const side = fc.integer({ min: 10, max: 120 })
    fc.assert(
      fc.property(fc.array(fc.record({ width: side, height: side }), { minLength: 1, maxLength: 6 }), (sizes) => {
        const laid = [{ left: 10, top: 10, ...sizes[0]! }]
        for (const size of sizes.slice(1)) laid.push(placeBeside(sheet, laid, size))
        const parts = laid.map((box, i) => ({
          name: String(i),
          gap: 0,
          corners: [
            [box.left, box.top],
            [box.left + box.width, box.top],
            [box.left + box.width, box.top + box.height],
            [box.left, box.top + box.height],
          ] as Point[],
        }))
        const atFirst = (i: number) => i > 0 && laid[i]!.left === 10 && laid[i]!.top === 10
        const given = parts.filter((_, i) => !atFirst(i))
        expect(clashes(given)).toEqual([])
        for (const { corners } of given)
          for (const [x, y] of corners) expect(x <= sheet.width && y <= sheet.height).toBe(true)
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
