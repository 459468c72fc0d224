import type { Lie } from './ceilings'
import { TooManyTears } from './deckle-points'
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
  | { kind: 'piece'; lie: number }
  | { kind: 'offcut' }
  | { kind: 'torn'; across: 'x' | 'y'; at: number; first: Layout; second: Layout }

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
 * The best lay-outs of one sheet, by the sides that carry a deckle.
 * @param lies the ways a piece may lie (one when the grain is fixed, two otherwise)
 * @param strip the narrowest strip that can be torn, 0 for a knife
 * @param mostTears tears to look at before deckles are given up; what was found out for some sides serves for others
 * @returns for the bits of deckled sides that earn points (0 when none is wanted) the most pieces; of those lay-outs the
 * most points, then the fewest tears, then the largest single offcut. Null when more tears than that had to be looked at.
 */
export function bestLayouts(
  width: number,
  height: number,
  lies: readonly Lie[],
  strip: number,
  mostTears = Infinity,
): (deckles: number) => Best | null {
  const parts = partsOf(width, height, lies, strip)
  const { whole, lieOf, count } = parts
  const narrowest = Math.max(strip, 1)
  const offcuts = offcutsOf(parts, narrowest, Math.min(narrowest, width) * Math.min(narrowest, height))
  const { largestOffcut, forEachBest } = offcuts
  const deckles = decklesOf(parts, lies, offcuts, mostTears)

  /** Fewest tears, then the largest offcut, of a part where no deckle is wanted. */
  function plain(part: Part): Layout {
    if (count(part) === 0) return { kind: 'offcut' }
    const lie = lieOf(part)
    if (lie >= 0) return { kind: 'piece', lie }
    let found: Layout = { kind: 'offcut' }
    const largest = largestOffcut(part)
    forEachBest(
      part,
      (area) => area >= largest,
      (first, second, across, at) => {
        if (Math.max(largestOffcut(first), largestOffcut(second)) < largest) return false
        found = { kind: 'torn', across, at, first: plain(first), second: plain(second) }
        return true
      },
    )
    return found
  }

  /** The same for a part with deckled sides. */
  function deckled(part: Part, sides: number): Layout {
    const lie = lieOf(part, sides)
    if (lie >= 0) return { kind: 'piece', lie }
    if (deckles.points(part, sides) === 0) return plain(part)
    let found: Layout = { kind: 'offcut' }
    const largest = deckles.largestOffcut(part, sides)
    deckles.forEachBest(
      part,
      sides,
      (area) => area >= largest,
      (first, sides1, second, sides2, across, at) => {
        if (Math.max(deckles.largestOffcut(first, sides1), deckles.largestOffcut(second, sides2)) < largest)
          return false
        found = { kind: 'torn', across, at, first: deckled(first, sides1), second: deckled(second, sides2) }
        return true
      },
    )
    return found
  }

  return (sides) => {
    try {
      const pieces = count(whole)
      return {
        pieces,
        cut: parts.cut,
        points: deckles.points(whole, sides),
        tears: pieces === 0 ? 0 : pieces + deckles.fewestOffcuts(whole, sides) - 1,
        offcut: deckles.largestOffcut(whole, sides),
        layout: deckled(whole, sides),
      }
    } catch (error) {
      if (error instanceof TooManyTears) return null
      throw error
    }
  }
}
