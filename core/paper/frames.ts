import { deckleBits, type Lie } from './ceilings'
import { type Edge, type Edges, edges, type TearRequest } from './tear-request'

/** Lengths are searched in whole units of 0.1 µm, so that sixteenths of an inch add up exactly. */
export const perMm = 10_000
export const units = (mm: number) => Math.round(mm * perMm)

const turns: Record<0 | 90 | 180 | 270, Record<Edge, Edge>> = {
  0: { left: 'left', right: 'right', top: 'top', bottom: 'bottom' },
  180: { left: 'right', right: 'left', top: 'bottom', bottom: 'top' },
  90: { top: 'right', right: 'bottom', bottom: 'left', left: 'top' },
  270: { top: 'left', left: 'bottom', bottom: 'right', right: 'top' },
}

/** A set of edges as bits of `deckleBits`. */
export const bitsOf = (set: Edges) => edges.reduce((bits, edge) => bits | (set[edge] ? deckleBits[edge] : 0), 0)

/** Points for each set of deckled sides: one for each wanted edge that lies on one, the better of two half turns. */
function pointsFor(wanted: Edges, quarter: boolean): number[] {
  const ways = quarter ? [turns[90], turns[270]] : [turns[0], turns[180]]
  return Array.from({ length: 16 }, (_, bits) =>
    Math.max(...ways.map((way) => edges.filter((edge) => wanted[edge] && (bits & deckleBits[way[edge]]) !== 0).length)),
  )
}

export interface Way {
  lie: Lie
  /** True when it lies a quarter turn from the way it was given. */
  turned: boolean
}

/** The ways a piece may lie on the sheet, given both grains. */
function waysFor({ sheet, piece }: TearRequest): Way[] {
  const straight = {
    lie: { width: units(piece.width), height: units(piece.height), points: pointsFor(piece.deckles, false) },
    turned: false,
  }
  const quarter = {
    lie: { width: units(piece.height), height: units(piece.width), points: pointsFor(piece.deckles, true) },
    turned: true,
  }
  if (piece.grain === 'free') return [straight, quarter]
  return [piece.grain === sheet.grain ? straight : quarter]
}

/** Datum edges worth trying in one direction: one without a deckle, or either when both carry one. */
function datums<A extends Edge>(deckles: Edges, [first, second]: readonly [A, A]): A[] {
  if (!deckles[first]) return [first]
  return deckles[second] ? [first, second] : [second]
}

/**
 * The sheet as it is worked: a datum edge is trued, and its deckle lost, only in a direction in which something is torn.
 * In one in which nothing is torn the pieces are as long as the sheet.
 */
export interface Frame {
  x: 'left' | 'right' | null
  y: 'top' | 'bottom' | null
  width: number
  height: number
  kept: Edges
  ways: Way[]
}

/** Every way to work the sheet, that with the fewest trued edges first. */
export function frames(request: TearRequest): Frame[] {
  const { sheet } = request
  const ways = waysFor(request)
  const frame = (x: Frame['x'], y: Frame['y']): Frame => {
    const width = units(sheet.width - (x ? sheet.allowance : 0))
    const height = units(sheet.height - (y ? sheet.allowance : 0))
    const kept = { ...sheet.deckles, ...(x && { [x]: false }), ...(y && { [y]: false }) }
    const fits = ({ lie }: Way) => (x !== null || lie.width === width) && (y !== null || lie.height === height)
    return { x, y, width, height, kept, ways: ways.filter(fits) }
  }
  const acrossX = datums(sheet.deckles, ['left', 'right'])
  const acrossY = datums(sheet.deckles, ['top', 'bottom'])
  return [
    frame(null, null),
    ...acrossX.map((x) => frame(x, null)),
    ...acrossY.map((y) => frame(null, y)),
    ...acrossX.flatMap((x) => acrossY.map((y) => frame(x, y))),
  ].filter(({ ways, width, height }) => ways.length > 0 && width > 0 && height > 0)
}
