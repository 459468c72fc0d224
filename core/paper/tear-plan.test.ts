import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { noEdges, type TearRequest } from './tear-request'
import { offcutSizes, planTears, type TearPlan } from './tear-plan'

const request = (
  width: number,
  height: number,
  w: number,
  h: number,
  more: {
    strip?: number
    grain?: TearRequest['piece']['grain']
    sheet?: Partial<TearRequest['sheet']>
    piece?: Partial<TearRequest['piece']>
    count?: number
  } = {},
): TearRequest => ({
  sheet: { width, height, deckles: noEdges, allowance: 0, grain: 'width', ...more.sheet },
  piece: { width: w, height: h, grain: more.grain ?? 'free', deckles: noEdges, ...more.piece },
  count: more.count ?? 1,
  strip: more.strip ?? 0,
  price: 4,
  block: { width: 100, height: 80 },
})
const perSheet = (...given: Parameters<typeof request>) => planTears(request(...given)).perSheet

describe('the worked checks', () => {
  it('760 × 560 and 300 × 230', () => {
    expect(perSheet(760, 560, 300, 230)).toBe(5)
    expect(perSheet(760, 560, 300, 230, { grain: 'width' })).toBe(4)
    expect(perSheet(760, 560, 300, 230, { grain: 'height' })).toBe(3)
  })

  it('1000 × 700 and 270 × 190', () => {
    expect(perSheet(1000, 700, 270, 190)).toBe(12)
    expect(perSheet(1000, 700, 270, 190, { grain: 'width' })).toBe(9)
    expect(perSheet(1000, 700, 270, 190, { grain: 'height' })).toBe(10)
  })

  it('a strip too narrow to tear: nothing torn, one with a knife, and the reason', () => {
    const torn = planTears(request(310, 230, 300, 230, { strip: 15 }))
    expect(torn).toMatchObject({ perSheet: 0, sheets: null, cost: null, knifeGives: 1 })
    expect(torn.reason).toContain('A knife gives 1')
    expect(perSheet(310, 230, 300, 230)).toBe(1)
  })

  it('says why nothing fits', () => {
    expect(planTears(request(200, 200, 300, 100)).reason).toContain('larger than the sheet')
    expect(planTears(request(310, 200, 300, 190, { grain: 'height' })).reason).toContain('across the grain')
    expect(planTears(request(300, 200, 0, 100)).reason).toContain('no size yet')
    expect(planTears(request(1400, 1000, 2, 2)).reason).toContain('larger piece')
  })
})

describe('offcuts', () => {
  it('are gathered by size, whatever their place', () => {
    const at = (x: number, width: number, height: number, use: 'proof' | 'test strip') => ({
      x,
      y: 0,
      width,
      height,
      use,
    })
    expect(
      offcutSizes([at(0, 160, 260, 'proof'), at(200, 62.5, 300, 'test strip'), at(400, 160.04, 260, 'proof')]),
    ).toEqual([
      { width: 160, height: 260, use: 'proof', count: 2 },
      { width: 62.5, height: 300, use: 'test strip', count: 1 },
    ])
    expect(offcutSizes([])).toEqual([])
  })

  it('of a plan are as many as its tears and pieces leave', () => {
    const plan = planTears(request(760, 560, 300, 230, { strip: 15 }))
    expect(offcutSizes(plan.offcuts).reduce((sum, size) => sum + size.count, 0)).toBe(
      plan.tears.length + 1 - plan.perSheet,
    )
  })
})

/** Every part of the plan lies inside the sheet, none over another, and together they are the sheet. */
function expectWhole(plan: TearPlan, { sheet, strip }: TearRequest): void {
  const parts = [...plan.pieces, ...plan.offcuts]
  const area = parts.reduce((sum, part) => sum + part.width * part.height, 0)
  expect(area).toBeCloseTo((sheet.width - sheet.allowance) * (sheet.height - sheet.allowance), 3)
  for (const [i, a] of parts.entries()) {
    expect(a.x).toBeGreaterThanOrEqual(0)
    expect(a.x + a.width).toBeLessThanOrEqual(sheet.width + 1e-6)
    expect(a.y + a.height).toBeLessThanOrEqual(sheet.height + 1e-6)
    for (const b of parts.slice(i + 1)) {
      const apart =
        a.x + a.width <= b.x + 1e-6 ||
        b.x + b.width <= a.x + 1e-6 ||
        a.y + a.height <= b.y + 1e-6 ||
        b.y + b.height <= a.y + 1e-6
      expect(apart).toBe(true)
    }
  }
  expect(plan.tears.length).toBe(parts.length - 1)
  for (const tear of plan.tears) {
    const whole = tear.across === 'x' ? tear.part.width : tear.part.height
    expect(Math.min(tear.distance, whole - tear.distance)).toBeGreaterThanOrEqual(strip - 1e-6)
  }
}

describe('a plan', () => {
  const length = fc.integer({ min: 200, max: 2000 }).map((n) => n / 2)
  it('is the whole sheet, part by part, on any sheet and piece', () => {
    fc.assert(
      fc.property(
        length,
        length,
        fc.integer({ min: 150, max: 700 }),
        fc.integer({ min: 150, max: 700 }),
        fc.constantFrom(0, 15),
        fc.constantFrom(0, 4),
        (W, H, w, h, strip, allowance) => {
          const given = request(W, H, w / 2, h / 2, { strip, sheet: { allowance } })
          const plan = planTears(given)
          if (plan.perSheet > 0) expectWhole(plan, given)
          expect(plan.pieces.length).toBe(plan.perSheet)
        },
      ),
      { numRuns: 60, seed: 3 },
    )
  })

  it('counts sheets, cost and waste', () => {
    const plan = planTears(request(760, 560, 300, 230, { count: 26 }))
    expect(plan).toMatchObject({ perSheet: 5, sheets: 6, cost: 24 })
    expect(plan.waste).toBeCloseTo(1 - (5 * 300 * 230) / (760 * 560))
    expect(plan.offcuts.some((offcut) => offcut.use === 'proof')).toBe(true)
  })

  it('trues one edge each way and measures from there', () => {
    const given = request(760, 560, 300, 230, { strip: 15, sheet: { allowance: 5 } })
    const plan = planTears(given)
    expect(plan.trued).toEqual([
      { edge: 'left', loses: 5, deckle: false },
      { edge: 'top', loses: 5, deckle: false },
    ])
    expect(Math.min(...plan.pieces.map((piece) => piece.x))).toBe(5)
    expectWhole(plan, given)
  })

  it('never measures from a deckle, and gives up one of two', () => {
    const all = { left: true, right: true, top: true, bottom: true }
    const given = request(760, 560, 300, 230, {
      strip: 15,
      sheet: { deckles: all, allowance: 6 },
      piece: { deckles: { ...noEdges, bottom: true } },
    })
    const plan = planTears(given)
    expect(plan.trued).toHaveLength(2)
    expect(plan.trued.every(({ deckle }) => deckle)).toBe(true)
    const kept = {
      left: plan.datum.x === 'right',
      right: plan.datum.x === 'left',
      top: plan.datum.y === 'bottom',
      bottom: plan.datum.y === 'top',
    }
    for (const tear of plan.tears) {
      const onSheetEdge = {
        left: tear.part.x === 0,
        top: tear.part.y === 0,
        right: tear.part.x + tear.part.width === 760,
        bottom: tear.part.y + tear.part.height === 560,
      }[tear.from]
      expect(onSheetEdge && kept[tear.from]).toBe(false)
    }
    expect(plan.pieces.reduce((sum, piece) => sum + piece.deckled, 0)).toBeGreaterThan(0)
    expect(plan.perSheet).toBe(planTears(request(754, 554, 300, 230, { strip: 15 })).perSheet)
  })

  it('takes inches without losing a sixteenth', () => {
    const inch = 25.4
    expect(perSheet((21 + 15 / 16) * inch, 30 * inch, (7 + 5 / 16) * inch, 10 * inch, { strip: 15 })).toBe(9)
    expect(perSheet(22 * inch, 30 * inch, (7 + 3 / 8) * inch, 10 * inch, { strip: 0, grain: 'width' })).toBe(6)
  })
})
