/** A line drawing in mm, the same for screen, SVG and PDF. The origin is the upper left corner, y goes down. */
export type Pen =
  | 'paper'
  | 'deckle'
  | 'block'
  | 'image'
  | 'mat'
  | 'series'
  | 'pin'
  | 'stop'
  | 'rule'
  | 'tear'
  | 'piece'
  | 'offcut'
  | 'mark'
  | 'text'

export type Point = [x: number, y: number]

export type Shape =
  | { kind: 'line'; pen: Pen; points: Point[]; closed: boolean }
  | { kind: 'circle'; pen: Pen; x: number; y: number; radius: number }
  | { kind: 'text'; pen: Pen; x: number; y: number; size: number; text: string; anchor: 'start' | 'middle' | 'end' }

export interface Drawing {
  width: number
  height: number
  shapes: Shape[]
}

export function rectangle(pen: Pen, x: number, y: number, width: number, height: number): Shape {
  return {
    kind: 'line',
    pen,
    closed: true,
    points: [
      [x, y],
      [x + width, y],
      [x + width, y + height],
      [x, y + height],
    ],
  }
}

export function segment(pen: Pen, from: Point, to: Point): Shape {
  return { kind: 'line', pen, closed: false, points: [from, to] }
}

export function words(
  text: string,
  x: number,
  y: number,
  size = 3.2,
  anchor: 'start' | 'middle' | 'end' = 'start',
  pen: Pen = 'text',
): Shape {
  return { kind: 'text', pen, x, y, size, text, anchor }
}

/** The shapes moved. */
export function moved(shapes: readonly Shape[], dx: number, dy: number): Shape[] {
  return shapes.map((shape) =>
    shape.kind === 'line'
      ? { ...shape, points: shape.points.map(([x, y]): Point => [x + dx, y + dy]) }
      : { ...shape, x: shape.x + dx, y: shape.y + dy },
  )
}

/** Line widths in mm and dashes, by what a line stands for. */
export const pens: Record<Pen, { width: number; dash: number[] }> = {
  paper: { width: 0.35, dash: [] },
  deckle: { width: 0.35, dash: [0.6, 0.8] },
  block: { width: 0.5, dash: [] },
  image: { width: 0.2, dash: [2, 1.2] },
  mat: { width: 0.25, dash: [5, 1.5, 1, 1.5] },
  series: { width: 0.25, dash: [8, 2] },
  pin: { width: 0.35, dash: [] },
  stop: { width: 0.9, dash: [] },
  rule: { width: 0.25, dash: [] },
  tear: { width: 0.3, dash: [3, 1.5] },
  piece: { width: 0.35, dash: [] },
  offcut: { width: 0.2, dash: [1, 1] },
  mark: { width: 0.15, dash: [] },
  text: { width: 0.2, dash: [] },
}
