import { type Drawing, rectangle, segment, type Shape, words } from '../drawing/shapes'
import { type Edges, edges, type Edge, type TearPlan } from './tear-plan'

/**
 * The tear plan to scale: the sheet with its deckles, numbered tears, pieces and offcuts.
 * @param longest the drawing's longer side, mm
 * @param show how a length is written
 * @param letters height of its letters, mm
 */
export function tearDrawing(plan: TearPlan, sheet: { width: number, height: number, deckles: Edges }, longest: number, show: (mm: number) => string, letters = 2.4): Drawing {
  const scale = longest / Math.max(sheet.width, sheet.height)
  const s = (mm: number) => mm * scale
  const shapes: Shape[] = []
  const ends: Record<Edge, [[number, number], [number, number]]> = {
    left: [[0, 0], [0, s(sheet.height)]], right: [[s(sheet.width), 0], [s(sheet.width), s(sheet.height)]],
    top: [[0, 0], [s(sheet.width), 0]], bottom: [[0, s(sheet.height)], [s(sheet.width), s(sheet.height)]],
  }
  for (const edge of edges) shapes.push(segment(sheet.deckles[edge] ? 'deckle' : 'paper', ...ends[edge]))
  for (const offcut of plan.offcuts) shapes.push(rectangle('offcut', s(offcut.x), s(offcut.y), s(offcut.width), s(offcut.height)))
  plan.pieces.forEach((piece, i) => {
    shapes.push(rectangle('piece', s(piece.x), s(piece.y), s(piece.width), s(piece.height)))
    shapes.push(words(`${i + 1}`, s(piece.x + piece.width / 2), s(piece.y + piece.height / 2) + letters / 2, letters * 1.7, 'middle'))
  })
  for (const tear of plan.tears) {
    const { part, at } = tear
    shapes.push(tear.across === 'x' ? segment('tear', [s(at), s(part.y)], [s(at), s(part.y + part.height)]) : segment('tear', [s(part.x), s(at)], [s(part.x + part.width), s(at)]))
    const label = `T${tear.number} ${show(tear.distance)}`
    shapes.push(tear.across === 'x' ? words(label, s(at) - letters / 3, s(part.y) + letters * 1.3, letters, 'end', 'tear') : words(label, s(part.x) + letters / 2, s(at) - letters / 3, letters, 'start', 'tear'))
  }
  return { width: s(sheet.width), height: s(sheet.height), shapes }
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
