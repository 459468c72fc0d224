import { describe, expect, it } from 'vitest'
import { boxOf } from '../drawing/labels'
import { dampingTimetable } from './damping'
import { evenMargins, finishedSize, imageOn, oneImage, pieceFault, pieceSize, type PiecePlan, usualFoot } from './piece'
import { noEdges } from './tear-request'
import { planTears } from './tear-plan'
import { tearDrawing, tearWords, describeTruing } from './tear-sheet'

const piece: PiecePlan = {
  lotId: null,
  sheet: { width: 760, height: 560, deckles: noEdges, allowance: 0, grain: 'unknown' },
  image: { width: 240, height: 160 },
  images: oneImage,
  margins: evenMargins(30, usualFoot),
  foot: usualFoot,
  trim: 0,
  grain: 'free',
  deckles: noEdges,
  strip: 15,
}

describe('a piece', () => {
  it('is the image and its margins, the foot heavier, and what is trimmed later', () => {
    expect(piece.margins).toEqual({ top: 30, right: 30, bottom: 37.5, left: 30 })
    expect(finishedSize(piece)).toEqual({ width: 300, height: 227.5 })
    expect(pieceSize({ ...piece, trim: 5 })).toEqual({ width: 310, height: 237.5 })
    expect(imageOn({ width: 300, height: 227.5 }, piece)).toEqual(piece.image)
  })

  it('refuses margins that leave no image', () => {
    expect(pieceFault(piece)).toBeNull()
    expect(pieceFault({ ...piece, image: imageOn({ width: 50, height: 200 }, piece) })?.message).toContain(
      'leave no image',
    )
    expect(pieceFault({ ...piece, sheet: { ...piece.sheet, width: 0 } })?.field).toBe('sheet')
  })
})

describe('the tear plan drawn', () => {
  const request = {
    sheet: { ...piece.sheet, allowance: 4, deckles: { ...noEdges, bottom: true } },
    piece: { ...pieceSize(piece), grain: 'free' as const, deckles: noEdges },
    count: 10,
    strip: 15,
    price: 4,
    block: null,
  }
  const plan = planTears(request)
  const show = (mm: number) => `${mm} mm`

  it('shows every piece and numbered tear to scale', () => {
    const drawing = tearDrawing(plan, request.sheet, 380, show)
    expect(drawing).toMatchObject({ width: 380, height: 280 })
    const first = drawing.shapes.find((shape) => shape.kind === 'line' && shape.pen === 'piece')
    expect(first).toMatchObject({
      points: [[plan.pieces[0]!.x / 2, plan.pieces[0]!.y / 2], expect.anything(), expect.anything(), expect.anything()],
    })
    expect(drawing.shapes.filter((shape) => shape.kind === 'text' && shape.text.startsWith('T'))).toHaveLength(
      plan.tears.length,
    )
    expect(drawing.shapes.filter((shape) => shape.pen === 'deckle')).toHaveLength(1)
  })

  it('writes no measure over another or over a piece’s number, with pieces of a usual size', () => {
    for (const [w, h] of [
      [300, 230],
      [213, 286],
      [270, 190],
      [380, 270],
      [190, 150],
      [240, 110],
    ] as const) {
      for (const [width, height] of [
        [760, 560],
        [1000, 700],
      ] as const) {
        const some = planTears({
          ...request,
          sheet: { ...request.sheet, width, height },
          piece: { ...request.piece, width: w, height: h },
        })
        const texts = tearDrawing(
          some,
          { width, height, deckles: noEdges },
          180,
          show,
          some.perSheet > 24 ? 2.6 : 4.4,
        ).shapes.filter((shape) => shape.kind === 'text')
        expect(texts).toHaveLength(some.tears.length + some.perSheet)
        const boxes = texts.map((shape) => boxOf(shape.text, shape, shape.size))
        const covered = boxes.flatMap((box, i) =>
          boxes
            .slice(i + 1)
            .filter(
              (other) =>
                box.left < other.right && other.left < box.right && box.top < other.bottom && other.top < box.bottom,
            ),
        )
        expect(covered, `${w} × ${h} from ${width} × ${height}`).toEqual([])
      }
    }
  })

  it('says each tear from a trued edge', () => {
    expect(tearWords(plan.tears[0]!, show)).toMatch(
      /^[\d.]+ mm from the (left|right|upper|lower) edge, (upright|across), on the part/,
    )
    expect(plan.trued.map((line) => describeTruing(line, show))[0]).toContain('4 mm off')
    expect(describeTruing({ edge: 'left', loses: 0, deckle: true }, show)).toContain('deckle is given up')
  })
})

describe('a damping timetable', () => {
  const times = { soak: 20, drain: 5, blot: 10, pace: 4 }

  it('brings each handful to the press as the one before is pulled', () => {
    const lines = dampingTimetable(5, 2, times)
    expect(lines[0]).toEqual({ minute: -35, act: 'into the bath', from: 1, to: 2 })
    expect(lines.filter((line) => line.act === 'to the press')).toEqual([
      { minute: 0, act: 'to the press', from: 1, to: 2 },
      { minute: 8, act: 'to the press', from: 3, to: 4 },
      { minute: 16, act: 'to the press', from: 5, to: 5 },
    ])
    for (let i = 1; i < lines.length; i++) expect(lines[i]!.minute).toBeGreaterThanOrEqual(lines[i - 1]!.minute)
    expect(lines).toHaveLength(12)
  })

  it('refuses what cannot be kept', () => {
    expect(() => dampingTimetable(0, 1, times)).toThrow(RangeError)
    expect(() => dampingTimetable(5, 0, times)).toThrow(RangeError)
    expect(() => dampingTimetable(5, 1, { ...times, pace: 0 })).toThrow(RangeError)
  })
})
