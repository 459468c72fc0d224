import { type Box, boxOf, type LabelPlace, placeLabel } from '../drawing/labels'
import { type Drawing, rectangle, segment, type Shape, words } from '../drawing/shapes'
import { type Edges, edges, type Edge } from './tear-request'
import type { TearPlan } from './tear-plan'

/** Places for the label of an upright tear: on either side of it, from its upper end down. */
function placesBeside({ left, top, bottom }: Box, letters: number): LabelPlace[] {
  const steps = Math.max(1, Math.floor((bottom - top) / (letters * 1.3)))
  return Array.from({ length: steps }, (_, i) => top + letters * 1.3 * (i + 1)).flatMap((y) => [
    { x: left - letters / 3, y, anchor: 'end' as const },
    { x: left + letters / 3, y, anchor: 'start' as const },
  ])
}

/** Places for the label of a tear across: above or below it, from its left end on. */
function placesAbove({ left, right, top }: Box, letters: number): LabelPlace[] {
  const steps = Math.max(1, Math.floor((right - left) / (letters * 3)))
  return Array.from({ length: steps }, (_, i) => left + letters / 2 + letters * 3 * i).flatMap((x) => [
    { x, y: top - letters / 3, anchor: 'start' as const },
    { x, y: top + letters * 1.1, anchor: 'start' as const },
  ])
}

/**
 * The tear plan to scale: the sheet with its deckles, numbered tears, pieces and offcuts.
 * @param longest the drawing's longer side, mm
 * @param show how a length is written
 * @param letters height of its letters, mm
 */
export function tearDrawing(
  plan: TearPlan,
  sheet: { width: number; height: number; deckles: Edges },
  longest: number,
  show: (mm: number) => string,
  letters = 2.4,
): Drawing {
  const scale = longest / Math.max(sheet.width, sheet.height)
  const s = (mm: number) => mm * scale
  const shapes: Shape[] = []
  const ends: Record<Edge, [[number, number], [number, number]]> = {
    left: [
      [0, 0],
      [0, s(sheet.height)],
    ],
    right: [
      [s(sheet.width), 0],
      [s(sheet.width), s(sheet.height)],
    ],
    top: [
      [0, 0],
      [s(sheet.width), 0],
    ],
    bottom: [
      [0, s(sheet.height)],
      [s(sheet.width), s(sheet.height)],
    ],
  }
  for (const edge of edges) shapes.push(segment(sheet.deckles[edge] ? 'deckle' : 'paper', ...ends[edge]))
  for (const offcut of plan.offcuts)
    shapes.push(rectangle('offcut', s(offcut.x), s(offcut.y), s(offcut.width), s(offcut.height)))
  plan.pieces.forEach((piece, i) => {
    shapes.push(rectangle('piece', s(piece.x), s(piece.y), s(piece.width), s(piece.height)))
    shapes.push(
      words(
        `${i + 1}`,
        s(piece.x + piece.width / 2),
        s(piece.y + piece.height / 2) + letters / 2,
        letters * 1.7,
        'middle',
      ),
    )
  })
  const size = { width: s(sheet.width), height: s(sheet.height) }
  const taken = plan.pieces.map((piece, i) =>
    boxOf(
      `${i + 1}`,
      { x: s(piece.x + piece.width / 2), y: s(piece.y + piece.height / 2) + letters / 2, anchor: 'middle' },
      letters * 1.7,
    ),
  )
  const lines = plan.tears.map(({ part, at, across }) =>
    across === 'x'
      ? { left: s(at), right: s(at), top: s(part.y), bottom: s(part.y + part.height) }
      : { left: s(part.x), right: s(part.x + part.width), top: s(at), bottom: s(at) },
  )
  for (const [i, { number, distance, across }] of plan.tears.entries()) {
    const line = lines[i]!
    shapes.push(segment('tear', [line.left, line.top], [line.right, line.bottom]))
    const label = `T${number} ${show(distance)}`
    const place = placeLabel(
      label,
      letters,
      across === 'x' ? placesBeside(line, letters) : placesAbove(line, letters),
      size,
      taken,
      lines,
    )
    taken.push(boxOf(label, place, letters))
    shapes.push(words(label, place.x, place.y, letters, place.anchor, 'tear'))
  }
  return { ...size, shapes }
}

const sideWords: Record<Edge, string> = { left: 'left', right: 'right', top: 'upper', bottom: 'lower' }

/** One tear as one would say it at the table. */
export function tearWords(tear: TearPlan['tears'][number], show: (mm: number) => string): string {
  return `${show(tear.distance)} from the ${sideWords[tear.from]} edge, ${tear.across === 'x' ? 'upright' : 'across'}, on the part ${show(tear.part.width)} by ${show(tear.part.height)}`
}

/** What is trued up before the first tear. */
export function trueWords({ edge, loses, deckle }: TearPlan['trued'][number], show: (mm: number) => string): string {
  return `True up the ${sideWords[edge]} edge${loses > 0 ? `, ${show(loses)} off` : ''}${deckle ? '; its deckle is given up, since a deckle is no edge to measure from' : ''}.`
}
