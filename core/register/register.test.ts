import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clipped, overlap, pages, tile } from '../drawing/tiles'
import { moved, rectangle, segment } from '../drawing/shapes'
import { jigOf, registerFault, registrationSheet, type RegisterPlan } from './registration'

const plan: RegisterPlan = {
  sheet: { width: 300, height: 230 },
  outline: { left: 40, top: 25, width: 200, height: 150 },
  image: { left: 10, top: 8, width: 180, height: 130 },
  rotation: 0,
  meeting: 'block onto paper',
  mat: null,
  series: null,
  stops: 20,
  pins: [{ x: 60, y: -8, diameter: 6, height: null }],
  more: [],
}
const onto = { ...plan, meeting: 'paper onto block' as const }

describe('the jig', () => {
  it('is the print itself when the block is set onto the paper', () => {
    expect(jigOf(plan)).toMatchObject({
      outline: [
        [40, 25],
        [240, 25],
        [240, 175],
        [40, 175],
      ],
      image: [
        [50, 33],
        [230, 33],
        [230, 163],
        [50, 163],
      ],
      pins: [{ x: 60 }],
    })
  })

  it('changes left and right when the paper is laid onto the block', () => {
    const jig = jigOf(onto)
    // x′ = W − x − w: the outline’s left edge comes to 300 − 40 − 200 = 60.
    expect(Math.min(...jig.outline.map(([x]) => x))).toBe(60)
    expect(Math.max(...jig.outline.map(([x]) => x))).toBe(260)
    expect(Math.min(...jig.image.map(([x]) => x))).toBe(70)
    expect(jig.pins[0]).toMatchObject({ x: 240, y: -8 })
    expect(jig.seenFrom).toContain('block’s side')
  })

  it('turns the outline clockwise about its centre and leaves the image square', () => {
    const turned = jigOf({ ...plan, image: { left: 10, top: 10, width: 180, height: 130 }, rotation: 3 })
    const [a, b] = turned.outline as [[number, number], [number, number]]
    expect((Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI).toBeCloseTo(3)
    const [i, j] = turned.image as [[number, number], [number, number]]
    expect(i[1]).toBeCloseTo(j[1])
    // Its image is centred on the block, and so stays where it was.
    expect(i[0]).toBeCloseTo(50)
    const mirrored = jigOf({ ...onto, rotation: 3 }).outline as [[number, number], [number, number]]
    expect((Math.atan2(mirrored[0][1] - mirrored[1][1], mirrored[0][0] - mirrored[1][0]) * 180) / Math.PI).toBeCloseTo(
      -3,
    )
  })

  it('mirrored twice is itself again', () => {
    const back = (points: readonly (readonly [number, number])[]) => points.map(([x, y]) => [plan.sheet.width - x, y])
    expect(back(jigOf(onto).outline)).toEqual(jigOf(plan).outline)
    expect(back(jigOf({ ...onto, rotation: 2 }).image)).toEqual(
      jigOf({ ...plan, rotation: 2 }).image.map((point) => [...point]),
    )
  })

  it('refuses what cannot be printed', () => {
    expect(registerFault(plan)).toBeNull()
    expect(registerFault({ ...plan, outline: { ...plan.outline, left: 150 } })?.field).toBe('margins')
    expect(registerFault({ ...plan, image: { ...plan.image, width: 250 } })?.field).toBe('image')
    expect(registerFault({ ...plan, outline: { ...plan.outline, width: 0 } })?.field).toBe('outline')
    expect(registerFault({ ...plan, sheet: { width: 0, height: 1 } })?.field).toBe('sheet')
    expect(registerFault({ ...plan, mat: { left: 0, top: 0, width: 400, height: 10 } })?.field).toBe('mat')
    expect(registerFault({ ...plan, series: { topLine: 120, footLine: 120 } })?.field).toBe('series')
  })

  it('is drawn with mat, series lines, stops, pins and a rule of 100 mm', () => {
    const drawing = registrationSheet(
      { ...plan, mat: { left: 45, top: 28, width: 190, height: 140 }, series: { topLine: 33, footLine: 67 } },
      'Tide Gauge',
    )
    const pensUsed = new Set(drawing.shapes.map((shape) => shape.pen))
    for (const pen of ['paper', 'block', 'image', 'mat', 'series', 'stop', 'pin', 'rule', 'mark'] as const)
      expect(pensUsed.has(pen)).toBe(true)
    const rule = drawing.shapes.find((shape) => shape.kind === 'line' && shape.pen === 'rule') as {
      points: [number, number][]
    }
    expect(rule.points[1]![0] - rule.points[0]![0]).toBe(100)
  })
})

describe('pages', () => {
  it('are one when the drawing fits, either way round', () => {
    expect(tile({ width: 190, height: 270, shapes: [] }, pages.A4)).toMatchObject({
      columns: 1,
      rows: 1,
      pageWidth: 210,
    })
    expect(tile({ width: 270, height: 190, shapes: [] }, pages.A4)).toMatchObject({
      columns: 1,
      rows: 1,
      pageWidth: 297,
    })
  })

  it('overlap by 10 mm and show match marks on both', () => {
    const tiling = tile({ width: 400, height: 300, shapes: [rectangle('paper', 0, 0, 400, 300)] }, pages.Letter)
    expect(tiling.columns * tiling.rows).toBe(tiling.tiles.length)
    expect(tiling.tiles.length).toBeGreaterThan(1)
    const marks = (i: number) => tiling.tiles[i]!.shapes.filter((shape) => shape.pen === 'mark').length
    expect(marks(0)).toBeGreaterThan(0)
    expect(marks(0)).toBe(marks(tiling.tiles.length - 1))
  })

  it('put together again are the drawing, to the last bit of every line', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 220, max: 900 }),
        fc.integer({ min: 200, max: 900 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (width, height, a, b) => {
          const line = segment('tear', [a * width, 0], [b * width, height])
          const { tiles, pageWidth, pageHeight } = tile({ width, height, shapes: [line] }, pages.A4)
          const usable = [pageWidth - 16 - overlap, pageHeight - 16 - overlap] as const
          const pieces = tiles.flatMap(({ column, row, shapes }) =>
            moved(
              shapes.filter((shape) => shape.pen === 'tear'),
              column * usable[0] - 8,
              row * usable[1] - 8,
            ),
          )
          const heights = pieces
            .flatMap((piece) => (piece.kind === 'line' ? [piece.points.map(([, y]) => y).sort((p, q) => p - q)] : []))
            .sort((p, q) => p[0]! - q[0]!)
          let reached = 0
          for (const [from, to] of heights) {
            expect(from!).toBeLessThanOrEqual(reached + 1e-6)
            reached = Math.max(reached, to!)
          }
          expect(reached).toBeCloseTo(height, 6)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('cut a line at their edge, or leave it out', () => {
    expect(clipped([0, 5], [20, 5], 10, 0, 15, 10)).toEqual([
      [10, 5],
      [15, 5],
    ])
    expect(clipped([0, 5], [5, 5], 10, 0, 15, 10)).toBeNull()
    expect(clipped([12, 20], [12, 30], 10, 0, 15, 10)).toBeNull()
  })
})
