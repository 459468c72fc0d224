import type { Lie } from './ceilings'
import type { Across, Part, Parts } from './parts'

// So that a side that is just filled is not rounded down.
const almost = 1e-9

/** The deckled sides of the two parts a tear leaves, the near one first. Bits are those of `deckleBits`. */
export function sidesAfter(sides: number, across: Across): [near: number, far: number] {
  return across === 'x' ? [sides & ~2, sides & ~1] : [sides & ~8, sides & ~4]
}

/**
 * No fewer than the most points a part can earn with all its pieces: what a knife would earn from the normal widths and
 * heights it holds. Tearing off waste moves no piece away from a deckled side, so what holds of pieces holds of points.
 * Where a knife gives more pieces than the part does, only the pieces that fit along its deckled sides bound the points.
 */
export function pointsCeilings({ x, y, knife }: Parts, lies: readonly Lie[]) {
  const columns = x.normal.length
  const rows = y.normal.length
  const pieces = knife.byColumn
  /** By deckled sides, then column and row; what has not been asked for is −1. */
  const known: (Int16Array | undefined)[] = []

  const earns = (bit: number, along: 'width' | 'height') =>
    Math.max(...lies.map((lie) => lie.points[bit]! / lie[along]))
  const [left, right] = [earns(1, 'height'), earns(2, 'height')]
  const [top, bottom] = [earns(4, 'width'), earns(8, 'width')]

  /** No part earns more points than the pieces that fit along its deckled sides. */
  function along(width: number, height: number, sides: number): number {
    let points = 0
    if (sides & 1) points += Math.floor(height * left + almost)
    if (sides & 2) points += Math.floor(height * right + almost)
    if (sides & 4) points += Math.floor(width * top + almost)
    if (sides & 8) points += Math.floor(width * bottom + almost)
    return points
  }

  /** Points of a knife's lay-outs that keep all pieces, by the indices of a normal width and height. */
  function cut(i: number, j: number, sides: number): number {
    const most = pieces[i * rows + j]!
    if (sides === 0 || most === 0) return 0
    const table = (known[sides] ??= new Int16Array(columns * rows).fill(-1))
    const here = i * rows + j
    if (table[here]! >= 0) return table[here]!
    const bound = along(x.normal[i]!, y.normal[j]!, sides)
    return (table[here] = bound === 0 ? 0 : Math.min(bound, found(i, j, sides, most, bound)))
  }

  function found(i: number, j: number, sides: number, most: number, bound: number): number {
    let best = 0
    if (most === 1)
      for (const lie of lies)
        if (lie.width <= x.normal[i]! && lie.height <= y.normal[j]!) best = Math.max(best, lie.points[sides]!)
    if (pieces[(i - 1) * rows + j] === most) best = Math.max(best, cut(i - 1, j, sides))
    if (pieces[i * rows + j - 1] === most) best = Math.max(best, cut(i, j - 1, sides))
    const [near, far] = sidesAfter(sides, 'x')
    for (let a = 1, b = i; a < i && best < bound; a++) {
      while (x.normal[b]! > x.normal[i]! - x.normal[a]!) b--
      if (b < a) break
      if (pieces[a * rows + j]! + pieces[b * rows + j]! !== most) continue
      best = Math.max(best, cut(a, j, near) + cut(b, j, far), cut(b, j, near) + cut(a, j, far))
    }
    const [above, below] = sidesAfter(sides, 'y')
    for (let a = 1, b = j; a < j && best < bound; a++) {
      while (y.normal[b]! > y.normal[j]! - y.normal[a]!) b--
      if (b < a) break
      if (pieces[i * rows + a]! + pieces[i * rows + b]! !== most) continue
      best = Math.max(best, cut(i, a, above) + cut(i, b, below), cut(i, b, above) + cut(i, a, below))
    }
    return best
  }

  /** Index of the widest normal length that one standing there is sure to hold. */
  const held = (standing: number) => (standing < 0 ? -1 - standing : standing)

  /** Points at most of a part that gives so many pieces, by where its sides stand. */
  function mostPoints(
    { column, row, width, height }: Pick<Part, 'column' | 'row' | 'width' | 'height'>,
    sides: number,
    given: number,
  ) {
    if (sides === 0 || given === 0) return 0
    const [i, j] = [held(column), held(row)]
    return pieces[i * rows + j] === given ? cut(i, j, sides) : along(width, height, sides)
  }

  /** Pieces at most of a part, by where its sides stand. */
  const mostPieces = (column: number, row: number) => pieces[held(column) * rows + held(row)]!

  return { mostPoints, mostPieces }
}
