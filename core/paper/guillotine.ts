import type { Lie } from './ceilings'
import { decklesOf } from './deckles'
import { offcutsOf } from './offcuts'
import { type Part, partsOf } from './parts'

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

/**
 * The best lay-out of one part.
 * @param lies the ways a piece may lie (one when the grain is fixed, two otherwise)
 * @param strip the narrowest strip that can be torn, 0 for a knife
 * @param deckles bits of the part's deckled sides that earn points; 0 when none is wanted
 * @returns the most pieces; of those lay-outs the most points, then the fewest tears, then the largest single offcut
 */
export function bestLayout(width: number, height: number, lies: readonly Lie[], strip: number, deckles: number): Best {
  const parts = partsOf(width, height, lies, strip)
  const { whole, lieOf, count } = parts
  const narrowest = Math.max(strip, 1)
  const offcuts = offcutsOf(parts, narrowest, Math.min(narrowest, width) * Math.min(narrowest, height))
  const { largestOffcut, forEachBest } = offcuts
  const { points, fewestOffcuts: fewestWith, largestOffcut: largestWith, forEachFitting } = decklesOf(parts, lies, offcuts)

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

  /** The same for a part with deckled sides that earn points. */
  function deckled(part: Part, sides: number): Layout {
    const lie = lieOf(part, sides)
    if (lie >= 0) return { kind: 'piece', lie }
    if (points(part, sides) === 0) return plain(part)
    let found: Layout = { kind: 'offcut' }
    const largest = largestWith(part, sides)
    forEachFitting(part, sides, fewestWith(part, sides), area => area >= largest, (first, sides1, second, sides2, across, at) => {
      if (Math.max(largestWith(first, sides1), largestWith(second, sides2)) < largest) return false
      found = { kind: 'torn', across, at, first: deckled(first, sides1), second: deckled(second, sides2) }
      return true
    })
    return found
  }

  const pieces = count(whole)
  return {
    pieces, cut: parts.cut, points: points(whole, deckles), tears: pieces === 0 ? 0 : pieces + fewestWith(whole, deckles) - 1,
    offcut: largestWith(whole, deckles), layout: deckled(whole, deckles),
  }
}
