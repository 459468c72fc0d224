import { describe, expect, it } from 'vitest'
import { pieceOfJig } from './piece-of-jig'
import type { RegisterPlan } from '../register/registration'

const plan: RegisterPlan = {
  sheet: { width: 300, height: 230 },
  outline: { left: 30, top: 25, width: 220, height: 110 },
  image: { left: 10, top: 5, width: 200, height: 100 },
  rotation: 0,
  meeting: 'paper onto block',
  mat: null,
  series: null,
  stops: 0,
  pins: [],
  more: [{ name: 'sea', outline: { left: 40, top: 130, width: 120, height: 80 }, rotation: 0, gap: 0 }],
}

describe('the piece of paper a registration sheet asks for', () => {
  it('has one image around all that prints, and the margins left as the print is seen', () => {
    expect(pieceOfJig(plan)).toEqual({
      image: { width: 200, height: 180 },
      margins: { left: 40, right: 60, top: 30, bottom: 20 },
    })
  })

  it('grows with a part that is turned', () => {
    const turned = { ...plan, more: [{ ...plan.more[0]!, rotation: 90 }] }
    expect(pieceOfJig(turned)?.image).toEqual({ width: 200, height: 200 })
  })

  it('is not known where a part reaches over the edge', () => {
    expect(pieceOfJig({ ...plan, sheet: { width: 300, height: 200 } })).toBeNull()
  })
})
