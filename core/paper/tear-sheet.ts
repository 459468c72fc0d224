import { type Box, boxOf, type LabelPlace, placeLabel } from '../drawing/labels'
import { type Drawing, type Pen, rectangle, segment, type Shape, words } from '../drawing/shapes'
import { type Edges, edges, type Edge } from './tear-request'
import type { TearPlan } from './tear-plan'
import type { Rectangle } from './tear-steps'

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

interface Sheet {
  width: number
  height: number
  deckles: Edges
}

/** The sheet's four edges, and which of them are deckles. Sizes in mm of the drawing. */
function sheetEdges({ width, height }: { width: number; height: number }, deckles: Edges): Shape[] {
  const corner = (x: 0 | 1, y: 0 | 1): [number, number] => [x * width, y * height]
  const ends: Record<Edge, [[number, number], [number, number]]> = {
    left: [corner(0, 0), corner(0, 1)],
    right: [corner(1, 0), corner(1, 1)],
    top: [corner(0, 0), corner(1, 0)],
    bottom: [corner(0, 1), corner(1, 1)],
  }
  return edges.map((edge) => segment(deckles[edge] ? 'deckle' : 'paper', ...ends[edge]))
}

/** Where the number of a piece stands. */
const middleOf = ({ x, y, width, height }: Rectangle, letters: number) => ({
  x: x + width / 2,
  y: y + height / 2 + letters / 2,
  anchor: 'middle' as const,
})

/** The tears with their labels, each where it covers no other and no piece's number. */
function labelledTears(
  tears: readonly { line: Box; label: string; across: 'x' | 'y' }[],
  size: { width: number; height: number },
  taken: Box[],
  letters: number,
): Shape[] {
  const lines = tears.map(({ line }) => line)
  return tears.flatMap(({ line, label, across }) => {
    const places = across === 'x' ? placesBeside(line, letters) : placesAbove(line, letters)
    const place = placeLabel(label, letters, places, size, taken, lines)
    taken.push(boxOf(label, place, letters))
    return [
      segment('tear', [line.left, line.top], [line.right, line.bottom]),
      words(label, place.x, place.y, letters, place.anchor, 'tear'),
    ]
  })
}

/**
 * The tear plan to scale: the sheet with its deckles, numbered tears, pieces and offcuts.
 * @param longest the drawing's longer side, mm
 * @param show how a length is written
 * @param letters height of its letters, mm
 */
export function tearDrawing(
  plan: TearPlan,
  sheet: Sheet,
  longest: number,
  show: (mm: number) => string,
  letters = 2.4,
): Drawing {
  const scale = longest / Math.max(sheet.width, sheet.height)
  const scaled = ({ x, y, width, height }: Rectangle): Rectangle => ({
    x: x * scale,
    y: y * scale,
    width: width * scale,
    height: height * scale,
  })
  const box = (pen: Pen, { x, y, width, height }: Rectangle) => rectangle(pen, x, y, width, height)
  const size = { width: sheet.width * scale, height: sheet.height * scale }
  const pieces = plan.pieces.map(scaled)
  const numbers = pieces.map((piece, i) => ({ number: `${i + 1}`, place: middleOf(piece, letters) }))
  const taken = numbers.map(({ number, place }) => boxOf(number, place, letters * 1.7))
  const tears = plan.tears.map(({ part, at, across, number, distance }) => {
    const { x, y, width, height } = scaled(part)
    const line =
      across === 'x'
        ? { left: at * scale, right: at * scale, top: y, bottom: y + height }
        : { left: x, right: x + width, top: at * scale, bottom: at * scale }
    return { line, across, label: `T${number} ${show(distance)}` }
  })
  return {
    ...size,
    shapes: [
      ...sheetEdges(size, sheet.deckles),
      ...plan.offcuts.map((offcut) => box('offcut', scaled(offcut))),
      ...pieces.map((piece) => box('piece', piece)),
      ...numbers.map(({ number, place }) => words(number, place.x, place.y, letters * 1.7, place.anchor)),
      ...labelledTears(tears, size, taken, letters),
    ],
  }
}

const sideWords: Record<Edge, string> = { left: 'left', right: 'right', top: 'upper', bottom: 'lower' }

/** One tear as one would say it at the table. */
export function tearWords(tear: TearPlan['tears'][number], show: (mm: number) => string): string {
  return `${show(tear.distance)} from the ${sideWords[tear.from]} edge, ${tear.across === 'x' ? 'upright' : 'across'}, on the part ${show(tear.part.width)} by ${show(tear.part.height)}`
}

/** What is trued up before the first tear. */
export function describeTruing(
  { edge, loses, deckle }: TearPlan['trued'][number],
  show: (mm: number) => string,
): string {
  return `True up the ${sideWords[edge]} edge${loses > 0 ? `, ${show(loses)} off` : ''}${deckle ? '; its deckle is given up, since a deckle is no edge to measure from' : ''}.`
}
