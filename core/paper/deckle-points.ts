import { deckleBits, type Lie } from './ceilings'
import type { Part, Parts } from './parts'

// So that a side that is just filled is not rounded down.
const almost = 1e-9

/** The deckled sides of the two parts a tear leaves. */
export const sidesOf = (sides: number, across: 'x' | 'y'): [number, number] => (across === 'x'
  ? [sides & ~deckleBits.right, sides & ~deckleBits.left]
  : [sides & ~deckleBits.bottom, sides & ~deckleBits.top])

/**
 * No fewer than the most points a part can earn with all its pieces, told by where its sides stand.
 *
 * Tearing off waste moves no piece away from a deckled side, so what holds of pieces holds of points: a part that is not
 * of normal width earns no more than a knife would from the widest normal one a strip narrower, and two such parts no
 * more than a knife from what they measure together less two strips. Of tears that reach the ceiling both halves must reach
 * theirs, so their points may be added; where the ceilings of two halves give more than that of the whole, only the pieces
 * that fit along its deckled sides bound the points.
 */
export function deckleCeilings({ x, y, ceilingAt, count }: Parts, lies: readonly Lie[]): (part: Part, sides: number) => number {
  /** Points a unit of a side may earn at most. */
  const earns = (bit: number, along: 'width' | 'height') => Math.max(...lies.map(lie => lie.points[bit]! / lie[along]))
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

  const known = new Map<number, number>()
  const columns = x.normal.length
  const rows = y.normal.length

  /** Points of the parts whose sides stand there; of a side that is not normal the waste is left out. */
  function ceiling(column: number, row: number, sides: number): number {
    const most = sides === 0 ? 0 : ceilingAt(column, row)
    if (most === 0) return 0
    const key = ((column + columns) * 2 * rows + row + rows) * 16 + sides
    const before = known.get(key)
    if (before !== undefined) return before
    const width = x.normal[column < 0 ? -1 - column : column]!
    const height = y.normal[row < 0 ? -1 - row : row]!
    const bound = along(width, height, sides)
    let best = 0
    for (const lie of lies) if ((column < 0 ? lie.width <= width : lie.width === width) && (row < 0 ? lie.height <= height : lie.height === height)) best = Math.max(best, lie.points[sides]!)
    /** Returns true when there is nothing more to be found. */
    const halves = (first: number, second: number, across: 'x' | 'y') => {
      const pieces = across === 'x' ? ceilingAt(first, row) + ceilingAt(second, row) : ceilingAt(column, first) + ceilingAt(column, second)
      if (pieces < most) return false
      const [sides1, sides2] = sidesOf(sides, across)
      const points = pieces > most
        ? bound
        : across === 'x' ? ceiling(first, row, sides1) + ceiling(second, row, sides2) : ceiling(column, first, sides1) + ceiling(column, second, sides2)
      if (points > best) best = Math.min(bound, points)
      return best === bound
    }
    const narrower = (standing: number, across: 'x' | 'y') => {
      const pieces = across === 'x' ? ceilingAt(standing, row) : ceilingAt(column, standing)
      if (pieces < most) return
      best = Math.max(best, Math.min(bound, pieces > most ? bound : across === 'x' ? ceiling(standing, row, sides) : ceiling(column, standing, sides)))
    }
    for (const across of ['x', 'y'] as const) {
      const axis = across === 'x' ? x : y
      const standing = across === 'x' ? column : row
      if (best === bound) break
      if (standing < 0) {
        narrower(standing + 1, across)
        const whole = -1 - standing
        for (let near = 1, far = whole; near < whole; near++) {
          while (axis.normal[far]! > axis.normal[whole]! - axis.normal[near]!) far--
          if (far === 0 || halves(-1 - near, -1 - far, across) || halves(-1 - far, -1 - near, across)) break
        }
      } else {
        narrower(-1 - axis.twoStripsNarrower[standing]!, across)
        const { at, near, far } = axis.places(axis.normal[standing]!, 'none')
        for (let i = 0; i < at.length; i++) if (halves(near[i]!, far[i]!, across) || halves(far[i]!, near[i]!, across)) break
      }
    }
    known.set(key, best)
    return best
  }

  return (part, sides) => (part.most === 0 || sides === 0 ? 0 : count(part) === part.most ? ceiling(part.column, part.row, sides) : along(part.width, part.height, sides))
}
