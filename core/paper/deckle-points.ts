import { type Axis, deckleBits, type Lie } from './ceilings'
import type { MayTear, Part, Parts } from './parts'

/** Ceilings of the pieces along a row or column of parts, of normal ones and of others. */
type Ceilings = ReturnType<Parts['across']>

/** Thrown when a search gives up. */
export class TooManyTears extends Error {}

// So that a side that is just filled is not rounded down.
const almost = 1e-9

/** The deckled sides of the two parts a tear leaves. */
export const sidesOf = (sides: number, across: 'x' | 'y'): [number, number] =>
  across === 'x'
    ? [sides & ~deckleBits.right, sides & ~deckleBits.left]
    : [sides & ~deckleBits.bottom, sides & ~deckleBits.top]

/**
 * No fewer than the most points a part can earn with all its pieces, told by where its sides stand.
 *
 * Tearing off waste moves no piece away from a deckled side, so what holds of pieces holds of points: a part that is not
 * of normal width earns no more than a knife would from the widest normal one a strip narrower, and two such parts no
 * more than a knife from what they measure together less two strips. Of tears that reach the ceiling both halves must reach
 * theirs, so their points may be added; where the ceilings of two halves give more than that of the whole, only the pieces
 * that fit along its deckled sides bound the points.
 */
export function deckleCeilings(
  { x, y, across, down, ceilingAt, count, looked }: Parts,
  lies: readonly Lie[],
  mostTears: number,
) {
  /** Points a unit of a side may earn at most. */
  const earns = (bit: number, along: 'width' | 'height') =>
    Math.max(...lies.map((lie) => lie.points[bit]! / lie[along]))
  const left = earns(deckleBits.left, 'height')
  const right = earns(deckleBits.right, 'height')
  const top = earns(deckleBits.top, 'width')
  const bottom = earns(deckleBits.bottom, 'width')

  /** No part earns more points than the pieces that fit along its deckled sides. */
  function along(width: number, height: number, sides: number): number {
    let points = 0
    if (sides & deckleBits.left) points += Math.floor(height * left + almost)
    if (sides & deckleBits.right) points += Math.floor(height * right + almost)
    if (sides & deckleBits.top) points += Math.floor(width * top + almost)
    if (sides & deckleBits.bottom) points += Math.floor(width * bottom + almost)
    return points
  }

  const columns = x.normal.length
  const rows = y.normal.length
  /** By deckled sides; what has not been asked for is −1. */
  const known: (Int16Array | undefined)[] = []

  /** Points of the parts whose sides stand there; of a side that is not normal the waste is left out. */
  function ceiling(column: number, row: number, sides: number): number {
    if (sides === 0) return 0
    const table = (known[sides] ??= new Int16Array(4 * columns * rows).fill(-1))
    const here = (column + columns) * 2 * rows + row + rows
    return table[here]! >= 0 ? table[here]! : (table[here] = found(column, row, sides))
  }

  function found(column: number, row: number, sides: number): number {
    const most = ceilingAt(column, row)
    if (most === 0) return 0
    if (looked.tears > mostTears) throw new TooManyTears()
    const width = x.normal[column < 0 ? -1 - column : column]!
    const height = y.normal[row < 0 ? -1 - row : row]!
    const bound = along(width, height, sides)
    if (bound === 0) return 0
    let best = 0
    for (const lie of lies)
      if (
        (column < 0 ? lie.width <= width : lie.width === width) &&
        (row < 0 ? lie.height <= height : lie.height === height)
      )
        best = Math.max(best, lie.points[sides]!)

    const [left, right] = sidesOf(sides, 'x')
    const acrossRow = across(row)
    const [above, below] = sidesOf(sides, 'y')
    const downColumn = down(column)
    return Math.max(
      alongAxis(
        x,
        column,
        acrossRow,
        most,
        Math.min(best, bound),
        bound,
        (standing) => ceiling(standing, row, sides),
        (near, far) => ceiling(near, row, left) + ceiling(far, row, right),
      ),
      alongAxis(
        y,
        row,
        downColumn,
        most,
        Math.min(best, bound),
        bound,
        (standing) => ceiling(column, standing, sides),
        (near, far) => ceiling(column, near, above) + ceiling(column, far, below),
      ),
    )
  }

  /** The most points that tears at places along one axis let hope for, or `best` when that is more; never above `bound`. */
  function alongAxis(
    axis: Axis,
    standing: number,
    { normal, other, base }: Ceilings,
    most: number,
    best: number,
    bound: number,
    narrowed: (standing: number) => number,
    torn: (near: number, far: number) => number,
  ): number {
    if (best === bound) return best
    const narrower = standing < 0 ? -2 - standing : axis.twoStripsNarrower[standing]!
    // Where ceilings promise more pieces than the whole has, the points of fewer pieces are not known.
    const pieces = other[base + narrower]!
    if (pieces >= most) best = Math.max(best, pieces > most ? bound : narrowed(-1 - narrower))
    if (standing < 0) {
      const whole = -1 - standing
      let far = whole
      looked.tears += whole >> 1
      for (let near = 1; near < whole && best < bound; near++) {
        while (axis.normal[far]! > axis.normal[whole]! - axis.normal[near]!) far--
        if (far < near) break
        const pieces = other[base + near]! + other[base + far]!
        if (pieces >= most)
          best = Math.max(best, pieces > most ? bound : Math.max(torn(-1 - near, -1 - far), torn(-1 - far, -1 - near)))
      }
    } else {
      const places = axis.places(axis.normal[standing]!, 'none')
      looked.tears += places.at.length >> 1
      for (let i = 0; i < places.at.length && best < bound; i++) {
        const near = places.near[i]!
        const far = places.far[i]!
        const pieces =
          (near >= 0 ? normal[base + near]! : other[base - 1 - near]!) +
          (far >= 0 ? normal[base + far]! : other[base - 1 - far]!)
        if (pieces >= most) best = Math.max(best, pieces > most ? bound : Math.max(torn(near, far), torn(far, near)))
      }
    }
    return Math.min(best, bound)
  }

  /** True when a tear that leaves two parts neither of normal width (or height) may keep all pieces and earn more points than that. */
  function mayEarnSpread(part: Part, sides: number, points: number): boolean {
    const { width, height, column, row } = part
    return [
      [x.standingOfTwo(width), row],
      [column, y.standingOfTwo(height)],
    ].some(
      ([a, b]) =>
        ceilingAt(a!, b!) > count(part) || (ceilingAt(a!, b!) === count(part) && ceiling(a!, b!, sides) > points),
    )
  }

  const pointsCeiling = (part: Part, sides: number) =>
    part.most === 0 || sides === 0
      ? 0
      : count(part) === part.most
        ? ceiling(part.column, part.row, sides)
        : along(part.width, part.height, sides)

  /** A test of where the halves of a tear stand: whether they may earn so many points, one way round or the other. */
  const mayEarn = ({ column, row }: Part, sides: number, wanted: () => number): MayTear => {
    const [left, right] = sidesOf(sides, 'x')
    const [above, below] = sidesOf(sides, 'y')
    return (across, near, far) =>
      across === 'x'
        ? ceiling(near, row, left) + ceiling(far, row, right) >= wanted() ||
          ceiling(far, row, left) + ceiling(near, row, right) >= wanted()
        : ceiling(column, near, above) + ceiling(column, far, below) >= wanted() ||
          ceiling(column, far, above) + ceiling(column, near, below) >= wanted()
  }

  return { pointsCeiling, mayEarn, mayEarnSpread }
}
