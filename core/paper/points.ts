import type { Axis } from './axis'
import { type Bounds, held, kept, keptBy, type Lie } from './ceilings'
import type { Across } from './parts'

// So that a side that is just filled is not rounded down.
const almost = 1e-9

/** The deckled sides of the two parts a tear leaves, the near one first. Bits are those of `deckleBits`. */
export function sidesAfter(sides: number, across: Across): [near: number, far: number] {
  return across === 'x' ? [sides & ~2, sides & ~1] : [sides & ~8, sides & ~4]
}

/** A part of normal width and height by its indices, the strips it keeps to (bits of `kept`) and its deckled sides. */
interface Place {
  keeps: number
  i: number
  j: number
  sides: number
}

/**
 * No fewer than the most points a part can earn with all its pieces. As with the ceilings of pieces, a part that is not of
 * normal width stands for one a strip narrower in which a knife may be used across: tearing off waste moves no piece
 * away from a deckled side, so what holds of pieces holds of points. Where a ceiling of pieces is more than a part gives,
 * only the pieces that fit along its deckled sides bound the points.
 */
export class Points {
  /** By strips kept to and deckled sides, then column and row; what has not been asked for is −1. */
  private readonly known: (Int16Array | undefined)[] = []
  private readonly rows: number
  private readonly earns: { left: number; right: number; top: number; bottom: number }

  constructor(
    private readonly bounds: Bounds,
    private readonly lies: readonly Lie[],
  ) {
    this.rows = bounds.y.normal.length
    const earns = (bit: number, along: 'width' | 'height') =>
      Math.max(...lies.map((lie) => lie.points[bit]! / lie[along]))
    this.earns = {
      left: earns(1, 'height'),
      right: earns(2, 'height'),
      top: earns(4, 'width'),
      bottom: earns(8, 'width'),
    }
  }

  /** Pieces at most of a part, by where its sides stand. */
  mostPieces(column: number, row: number): number {
    return this.pieces(keptBy(column, row), held(column), held(row))
  }

  /** Points at most of a part that gives so many pieces, by where its sides stand. */
  most(column: number, row: number, sides: number, given: number): number {
    if (sides === 0 || given === 0) return 0
    const [i, j] = [held(column), held(row)]
    const keeps = keptBy(column, row)
    return this.pieces(keeps, i, j) === given ? this.at(keeps, i, j, sides) : this.along(i, j, sides)
  }

  private pieces(keeps: number, i: number, j: number): number {
    return this.bounds.pieces[keeps]!.byColumn[i * this.rows + j]!
  }

  /** No part earns more points than the pieces that fit along its deckled sides. */
  private along(i: number, j: number, sides: number): number {
    const { x, y } = this.bounds
    const [width, height] = [x.normal[i]!, y.normal[j]!]
    let points = 0
    if (sides & 1) points += Math.floor(height * this.earns.left + almost)
    if (sides & 2) points += Math.floor(height * this.earns.right + almost)
    if (sides & 4) points += Math.floor(width * this.earns.top + almost)
    if (sides & 8) points += Math.floor(width * this.earns.bottom + almost)
    return points
  }

  /** Points of lay-outs that keep all pieces of the ceiling. */
  private at(keeps: number, i: number, j: number, sides: number): number {
    if (sides === 0 || this.pieces(keeps, i, j) === 0) return 0
    const { x } = this.bounds
    const table = (this.known[keeps * 16 + sides] ??= new Int16Array(x.normal.length * this.rows).fill(-1))
    const here = i * this.rows + j
    if (table[here]! >= 0) return table[here]!
    const bound = this.along(i, j, sides)
    return (table[here] = bound === 0 ? 0 : Math.min(bound, this.found({ keeps, i, j, sides }, bound)))
  }

  private found(place: Place, bound: number): number {
    const { keeps, i, j, sides } = place
    const { x, y } = this.bounds
    let best = 0
    if (this.pieces(keeps, i, j) === 1)
      for (const lie of this.lies)
        if (this.fills(keeps & kept.across, x, lie.width, i) && this.fills(keeps & kept.down, y, lie.height, j))
          best = Math.max(best, lie.points[sides]!)
    if (best < bound) best = Math.max(best, this.torn(place, 'x', bound))
    return best < bound ? Math.max(best, this.torn(place, 'y', bound)) : best
  }

  /** Whether a piece needs no tear along that side: it fills the part, or only a knife's strip is left. */
  private fills(isKept: number, { normal, strip }: Axis, length: number, index: number): boolean {
    return isKept && strip > 0 ? length === normal[index] : length <= normal[index]!
  }

  /** The most points of a part torn across, or the bound where its ceilings of pieces are too high to tell. */
  private torn({ keeps, i, j, sides }: Place, across: Across, bound: number): number {
    const isX = across === 'x'
    const [index, axis, rests] = isX
      ? [i, this.bounds.x, this.bounds.restsX[i]!]
      : [j, this.bounds.y, this.bounds.restsY[j]!]
    const bit = isX ? kept.across : kept.down
    const isKept = (keeps & bit) !== 0 && axis.strip > 0
    const weaker = keeps & ~bit
    const most = this.pieces(keeps, i, j)
    const piecesOf = (of: number, k: number) => (isX ? this.pieces(of, k, j) : this.pieces(of, i, k))
    const pointsOf = (of: number, k: number, at: number) => (isX ? this.at(of, k, j, at) : this.at(of, i, k, at))
    const [near, far] = sidesAfter(sides, across)

    const [nextOf, next] = isKept ? [weaker, axis.twoStripsNarrower[index]!] : [keeps, index - 1]
    if (piecesOf(nextOf, next) > most) return bound
    let best = piecesOf(nextOf, next) === most ? pointsOf(nextOf, next, sides) : 0
    const rest = isKept ? rests.torn : rests.cut
    for (let c = 1; c < index && best < bound; c++) {
      const left = rest[c]!
      if (left === 0) continue
      const restOf = left > 0 ? keeps : weaker
      const k = held(left)
      const sum = piecesOf(keeps, c) + piecesOf(restOf, k)
      if (sum > most) return bound
      if (sum < most) continue
      best = Math.max(
        best,
        pointsOf(keeps, c, near) + pointsOf(restOf, k, far),
        pointsOf(restOf, k, near) + pointsOf(keeps, c, far),
      )
    }
    return best
  }
}
