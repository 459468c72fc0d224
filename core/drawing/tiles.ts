import { type Drawing, moved, type Point, type Shape, segment, words } from './shapes'

/** A page of the printer, mm, and what it cannot print at each edge. */
export interface Page {
  name: 'A4' | 'Letter'
  width: number
  height: number
  edge: number
}
export const pages: Record<Page['name'], Page> = {
  A4: { name: 'A4', width: 210, height: 297, edge: 8 },
  Letter: { name: 'Letter', width: 215.9, height: 279.4, edge: 8 },
}

/** Neighbouring pages show the same strip this wide, to be laid over each other. */
export const overlap = 10

interface Cell {
  column: number
  row: number
}

/** One page of a drawing at full size: what it shows, in the page's own mm. */
export interface Tile extends Cell {
  width: number
  height: number
  shapes: Shape[]
}

export interface Tiling {
  pageWidth: number
  pageHeight: number
  columns: number
  rows: number
  tiles: Tile[]
}

/** Pages side by side that cover a length, each of `usable` and overlapping the last. */
function pagesFor(length: number, usable: number): number {
  return length <= usable + 1e-9 ? 1 : Math.ceil((length - overlap) / (usable - overlap) - 1e-9)
}

/** The part of a straight line inside a window, or null (Liang and Barsky 1984). */
export function clipped(
  [x1, y1]: Point,
  [x2, y2]: Point,
  left: number,
  top: number,
  right: number,
  bottom: number,
): [Point, Point] | null {
  let from = 0
  let to = 1
  for (const [step, room] of [
    [x1 - x2, x1 - left],
    [x2 - x1, right - x1],
    [y1 - y2, y1 - top],
    [y2 - y1, bottom - y1],
  ] as const) {
    if (step === 0) {
      if (room < 0) return null
      continue
    }
    const at = room / step
    if (step < 0) from = Math.max(from, at)
    else to = Math.min(to, at)
  }
  if (from >= to) return null
  return [
    [x1 + from * (x2 - x1), y1 + from * (y2 - y1)],
    [x1 + to * (x2 - x1), y1 + to * (y2 - y1)],
  ]
}

const roundness = 72

function pointsOf(shape: Exclude<Shape, { kind: 'text' }>): { points: Point[]; closed: boolean } {
  if (shape.kind === 'line') return shape
  const points = Array.from({ length: roundness }, (_, i): Point => [
    shape.x + shape.radius * Math.cos((2 * Math.PI * i) / roundness),
    shape.y + shape.radius * Math.sin((2 * Math.PI * i) / roundness),
  ])
  return { points, closed: true }
}

/** Small crosses in the middle of each overlap, the same on both pages. */
function matchMarks(
  columns: number,
  rows: number,
  stepX: number,
  stepY: number,
  width: number,
  height: number,
): Shape[] {
  const marks: Shape[] = []
  const cross = (x: number, y: number) =>
    marks.push(segment('mark', [x - 3, y], [x + 3, y]), segment('mark', [x, y - 3], [x, y + 3]))
  for (let column = 1; column < columns; column++)
    for (let row = 0; row < rows; row++)
      for (const share of [0.25, 0.75])
        cross(column * stepX + overlap / 2, Math.min(height, row * stepY + share * (stepY + overlap)))
  for (let row = 1; row < rows; row++)
    for (let column = 0; column < columns; column++)
      for (const share of [0.25, 0.75])
        cross(Math.min(width, column * stepX + share * (stepX + overlap)), row * stepY + overlap / 2)
  return marks
}

/** The window a page shows of a drawing, in the drawing's mm. */
type Window = Record<'left' | 'top' | 'right' | 'bottom', number>

/** What of a shape lies in the window; text only where it begins. */
function shownIn(shape: Shape, { left, top, right, bottom }: Window): Shape[] {
  if (shape.kind === 'text') {
    const isFirst =
      (left === 0 || shape.x >= left + overlap) &&
      shape.x < right &&
      (top === 0 || shape.y >= top + overlap) &&
      shape.y < bottom
    return isFirst ? [shape] : []
  }
  const { points, closed } = pointsOf(shape)
  const ends = closed ? [...points.slice(1), points[0]!] : points.slice(1)
  return ends.flatMap((end, i): Shape[] => {
    const part = clipped(points[i]!, end, left, top, right, bottom)
    return part ? [segment(shape.pen, ...part)] : []
  })
}

/** Which page this is, for its lower edge; nothing when there is but one. */
function pageWords({ column, row }: Cell, columns: number, rows: number, page: Page, height: number): Shape[] {
  if (columns * rows === 1) return []
  const text = `page ${row * columns + column + 1} of ${columns * rows}: row ${row + 1}, column ${column + 1}`
  return [words(text, page.edge, height - page.edge / 2, 2.4)]
}

/**
 * Cut a drawing into pages at full size, the way round that takes fewer. Lines are cut at the edge of each page, so no
 * page relies on its neighbour; text stands on the first page it begins on.
 */
export function tile(drawing: Drawing, page: Page): Tiling {
  const ways = [page, { width: page.height, height: page.width }].map(({ width, height }) => ({
    width,
    height,
    columns: pagesFor(drawing.width, width - 2 * page.edge),
    rows: pagesFor(drawing.height, height - 2 * page.edge),
  }))
  const { width, height, columns, rows } = ways.reduce((a, b) => (b.columns * b.rows < a.columns * a.rows ? b : a))
  const [usableX, usableY] = [width - 2 * page.edge, height - 2 * page.edge]
  const [stepX, stepY] = [usableX - overlap, usableY - overlap]
  const shapes = [...drawing.shapes, ...matchMarks(columns, rows, stepX, stepY, drawing.width, drawing.height)]
  const cells = Array.from({ length: columns * rows }, (_, i): Cell => ({
    column: i % columns,
    row: Math.floor(i / columns),
  }))
  const tiles = cells.map((cell): Tile => {
    const [left, top] = [cell.column * stepX, cell.row * stepY]
    const window = { left, top, right: left + usableX, bottom: top + usableY }
    const shown = moved(
      shapes.flatMap((shape) => shownIn(shape, window)),
      page.edge - left,
      page.edge - top,
    )
    return { ...cell, width, height, shapes: [...shown, ...pageWords(cell, columns, rows, page, height)] }
  })
  return { pageWidth: width, pageHeight: height, columns, rows, tiles }
}
