import { deckleBits, type Lie } from './ceilings'
import { offcutsOf, stripsWithin } from './offcuts'
import { type Deckled, type Part, partsOf } from './parts'

/**
 * The most equal pieces that tears right across the part in hand can give, and of all such lay-outs the best (MODELS M2).
 *
 * Lengths here are whole units of 0.1 µm, so that sums of sixteenths of an inch compare exactly; areas stay below 2^53.
 *
 * Method: dynamic programming over positions (Gilmore and Gomory 1966, with the normal positions of Herz 1972 and
 * Christofides and Whitlock 1977), made exact for a narrowest strip t. Call a width *normal* when pieces side by side
 * fill it. In a part that is not of normal width every row holds a strip of waste of at least t, so
 *   - such a part may be widened and keeps its pieces, and
 *   - it gives no more than a knife would from a part t narrower, which bounds the search closely.
 * Hence a tear may be taken at a normal distance from either side; only where two normal widths lie closer than t
 * must normal widths with strips added be tried as well.
 */

/** A lay-out as a tree: a part torn in two, a piece, or what is left over. */
export type Layout =
  | { kind: 'piece', lie: number }
  | { kind: 'offcut' }
  | { kind: 'torn', across: 'x' | 'y', at: number, first: Layout, second: Layout }

export interface Best {
  pieces: number
  /** Pieces a knife gives; strips may then be as narrow as one likes. */
  cut: number
  points: number
  tears: number
  /** Area of the largest single offcut. */
  offcut: number
  layout: Layout
}

/** The deckled sides of the two parts a tear leaves. */
const sidesOf = (sides: number, across: 'x' | 'y'): [number, number] => (across === 'x'
  ? [sides & ~deckleBits.right, sides & ~deckleBits.left]
  : [sides & ~deckleBits.bottom, sides & ~deckleBits.top])

/**
 * The best lay-out of one part.
 * @param lies the ways a piece may lie (one when the grain is fixed, two otherwise)
 * @param strip the narrowest strip that can be torn, 0 for a knife
 * @param deckles bits of the part's deckled sides that earn points; 0 when none is wanted
 * @returns the most pieces; of those lay-outs the most points, then the fewest tears, then the largest single offcut
 */
export function bestLayout(width: number, height: number, lies: readonly Lie[], strip: number, deckles: number): Best {
  const parts = partsOf(width, height, lies, strip)
  const { whole, partSized, lieOf, count, forEachKeeping } = parts
  const narrowest = Math.max(strip, 1)
  const { leastOffcuts, fewestOffcuts, offcutCeiling, largestOffcut, forEachBest } = offcutsOf(parts, narrowest, Math.min(narrowest, width) * Math.min(narrowest, height))

  /** Fewest tears, then the largest offcut, of a part where no deckle is wanted. */
  function plain(part: Part): Layout {
    if (count(part) === 0) return { kind: 'offcut' }
    const lie = lieOf(part)
    if (lie >= 0) return { kind: 'piece', lie }
    let found: Layout = { kind: 'offcut' }
    const largest = largestOffcut(part)
    forEachBest(part, area => area >= largest, (first, second, across, at) => {
      if (Math.max(largestOffcut(first), largestOffcut(second)) < largest) return false
      found = { kind: 'torn', across, at, first: plain(first), second: plain(second) }
      return true
    })
    return found
  }

  /** Points a unit of a side may earn at most. */
  const earns = (bit: number, along: 'width' | 'height') => Math.max(...lies.map(lie => lie.points[bit]! / lie[along]))
  const left = earns(deckleBits.left, 'height')
  const right = earns(deckleBits.right, 'height')
  const top = earns(deckleBits.top, 'width')
  const bottom = earns(deckleBits.bottom, 'width')
  // So that a side that is just filled is not rounded down.
  const almost = 1e-9

  /** No part earns more points than the pieces that fit along its deckled sides. */
  function pointsCeiling({ width, height }: Part, sides: number): number {
    let points = 0
    if (sides & deckleBits.left) points += Math.floor(height * left + almost)
    if (sides & deckleBits.right) points += Math.floor(height * right + almost)
    if (sides & deckleBits.top) points += Math.floor(width * top + almost)
    if (sides & deckleBits.bottom) points += Math.floor(width * bottom + almost)
    return points
  }

  /** Most points, then fewest tears, then the largest offcut, of a part with the given deckled sides. */
  function deckled(part: Part, sides: number): Omit<Deckled, 'across' | 'at'> {
    const pieces = count(part)
    if (pieces === 0) return { points: 0, tears: 0, offcut: part.width * part.height }
    const lie = lieOf(part, sides)
    if (lie >= 0) return { points: lies[lie]!.points[sides]!, tears: 0, offcut: 0 }
    return sides === 0 ? { points: 0, tears: pieces + fewestOffcuts(part) - 1, offcut: largestOffcut(part) } : bestDeckled(part, sides)
  }

  /** A part cannot be laid out with fewer tears. */
  const tearsFloor = (part: Part) => (count(part) === 0 ? 0 : count(part) + leastOffcuts(part) - 1)

  function bestDeckled(part: Part, sides: number): Deckled {
    part.deckled ??= []
    const known = part.deckled[sides]
    if (known) return known
    const found: Deckled = { points: -1, tears: Infinity, offcut: -1, across: 'x', at: 0 }
    const mostPoints = pointsCeiling(part, sides)
    const fewestTears = count(part) + fewestOffcuts(part) - 1
    /** Nothing is gained from halves that reach no more. */
    const hopeless = (points: number, tears: number, offcut: number) => points < found.points
      || (points === found.points && (tears > found.tears || (tears === found.tears && offcut <= found.offcut)))
    const consider = (first: Part, second: Part, across: 'x' | 'y', at: number) => {
      const [sides1, sides2] = sidesOf(sides, across)
      if (hopeless(pointsCeiling(first, sides1) + pointsCeiling(second, sides2), tearsFloor(first) + tearsFloor(second) + 1, Math.max(offcutCeiling(first), offcutCeiling(second)))) return
      // The half with fewer deckled sides is quicker to lay out, and may rule out the other.
      const [quick, quickSides, slow, slowSides] = sides1 <= sides2 ? [first, sides1, second, sides2] : [second, sides2, first, sides1]
      const a = deckled(quick, quickSides)
      if (hopeless(a.points + pointsCeiling(slow, slowSides), a.tears + tearsFloor(slow) + 1, Math.max(a.offcut, offcutCeiling(slow)))) return
      const b = deckled(slow, slowSides)
      const points = a.points + b.points
      const tears = a.tears + b.tears + 1
      const offcut = Math.max(a.offcut, b.offcut)
      if (!hopeless(points, tears, offcut)) Object.assign(found, { points, tears, offcut, across, at })
    }
    for (const stripsAdded of ['none', 'any'] as const) {
      if (stripsAdded === 'any' && found.points === mostPoints && stripsWithin(found.tears - count(part) + 1) === 'none') break
      forEachKeeping(part, stripsAdded, Infinity, (first, second, across, at) => {
        // With strips only the tears that leave neither half normal are new.
        if (stripsAdded === 'any' && (across === 'x' ? first.column >= 0 || second.column >= 0 : first.row >= 0 || second.row >= 0)) return false
        consider(first, second, across, at)
        consider(second, first, across, across === 'x' ? second.width : second.height)
        return found.points === mostPoints && found.tears === fewestTears && found.offcut >= offcutCeiling(part)
      })
    }
    return part.deckled[sides] = found
  }

  function layoutOf(part: Part, sides: number): Layout {
    if (sides === 0 || count(part) === 0) return plain(part)
    const lie = lieOf(part, sides)
    if (lie >= 0) return { kind: 'piece', lie }
    const { across, at } = bestDeckled(part, sides)
    const { width, height } = part
    const [first, second] = across === 'x' ? [partSized(at, height), partSized(width - at, height)] : [partSized(width, at), partSized(width, height - at)]
    const [sides1, sides2] = sidesOf(sides, across)
    return { kind: 'torn', across, at, first: layoutOf(first, sides1), second: layoutOf(second, sides2) }
  }

  const { points, tears, offcut } = deckled(whole, deckles)
  return { pieces: count(whole), cut: parts.cut, points, tears, offcut, layout: layoutOf(whole, deckles) }
}
