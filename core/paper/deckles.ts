import type { Lie } from './ceilings'
import { deckleCeilings, sidesOf } from './deckle-points'
import { type offcutsOf, stripsWithin } from './offcuts'
import type { Deckled, Part, Parts } from './parts'

/** What a tear leaves, each half with its deckled sides, and where it lies. Returns true to stop. */
type DeckledTear = (first: Part, sides1: number, second: Part, sides2: number, across: 'x' | 'y', at: number) => boolean

/**
 * The lay-outs of parts with deckled sides: the most points with all their pieces, then the fewest offcuts (and so the
 * fewest tears), then the largest single offcut. Each is settled before the next is asked for, since most tears fall
 * out at the first. Widening a strip of waste moves no piece from a deckled side, so of parts that stand alike a larger
 * one earns no less, and what `offcuts.ts` says of them holds here.
 */
export function decklesOf(parts: Parts, lies: readonly Lie[], plain: ReturnType<typeof offcutsOf>) {
  const { alike, lieOf, count, forEachKeeping } = parts
  const pointsCeiling = deckleCeilings(parts, lies)

  function deckled(part: Part, sides: number): Deckled {
    part.deckled ??= []
    return part.deckled[sides] ??= { points: -1, leastOffcuts: -1, sure: false, known: null, largestOffcut: -1 }
  }

  /** Both ways round of every tear that keeps all pieces: the deckled sides go to one half or the other. */
  function forEachWay(part: Part, sides: number, strips: 'none' | 'one' | 'any', mostOffcuts: number, stop: DeckledTear): boolean {
    return forEachKeeping(part, strips, mostOffcuts, (first, second, across, at) => {
      const [sides1, sides2] = sidesOf(sides, across)
      return stop(first, sides1, second, sides2, across, at)
        || stop(second, sides1, first, sides2, across, across === 'x' ? second.width : second.height)
    })
  }

  /** The most points a part earns with all its pieces. */
  function points(part: Part, sides: number): number {
    if (sides === 0 || count(part) === 0) return 0
    const held = deckled(part, sides)
    if (held.points >= 0) return held.points
    const lie = lieOf(part, sides)
    if (lie >= 0) return held.points = lies[lie]!.points[sides]!
    const most = pointsCeiling(part, sides)
    const smallest = alike(part)
    let best = smallest !== part && count(smallest) === count(part) ? points(smallest, sides) : 0
    for (const strips of ['none', 'any'] as const) {
      if (best === most) break
      forEachWay(part, sides, strips, Infinity, (first, sides1, second, sides2, across) => {
        // With strips only the tears that leave neither half normal are new.
        if (strips === 'any' && (across === 'x' ? first.column >= 0 || second.column >= 0 : first.row >= 0 || second.row >= 0)) return false
        if (pointsCeiling(first, sides1) + pointsCeiling(second, sides2) <= best) return false
        const a = points(first, sides1)
        if (a + pointsCeiling(second, sides2) > best) best = Math.max(best, a + points(second, sides2))
        return best === most
      })
    }
    return held.points = best
  }

  /** Offcuts a part must leave at least, with all its pieces and points, as far as is known. */
  function leastOffcuts(part: Part, sides: number): number {
    if (sides === 0 || count(part) === 0) return plain.leastOffcuts(part)
    const held = deckled(part, sides)
    return held.leastOffcuts >= 0 ? held.leastOffcuts : held.leastOffcuts = plain.leastOffcuts(part)
  }

  /** True when a part can be laid out, with all its pieces and points, leaving no more than `most` offcuts. */
  function within(part: Part, sides: number, most: number): boolean {
    if (sides === 0 || count(part) === 0 || points(part, sides) === 0) return plain.within(part, most)
    let least = leastOffcuts(part, sides)
    const held = deckled(part, sides)
    if (held.sure || least > most) return least <= most
    if (lieOf(part) >= 0) return held.sure = true
    const smallest = alike(part)
    const shares = smallest.pieces === part.pieces && points(smallest, sides) === held.points
    const size = part.width + part.height
    const shared = shares && (part.column >= 0 || part.row >= 0) ? deckled(smallest, sides).known ??= { largeEnough: [], tooSmall: [] } : { largeEnough: [], tooSmall: [] }
    const { largeEnough, tooSmall } = shared
    while (!held.sure && least <= most) {
      if (size <= (tooSmall[least] ?? 0)) held.leastOffcuts = least += 1
      else if (size >= (largeEnough[least] ?? Infinity) || (smallest !== part && shares && within(smallest, sides, least)) || (plain.within(part, least) && leaves(part, sides, least))) {
        held.sure = true
        largeEnough[least] = Math.min(size, largeEnough[least] ?? Infinity)
      } else {
        tooSmall[least] = Math.max(size, tooSmall[least] ?? 0)
        held.leastOffcuts = least += 1
      }
    }
    return held.leastOffcuts <= most
  }

  /** True when one of its tears lets a part be laid out, with all its points, leaving so many offcuts. */
  function leaves(part: Part, sides: number, offcuts: number): boolean {
    return forEachFitting(part, sides, offcuts, () => true, () => true)
  }

  /** The tears of a part that keep all its pieces and points, leave no more than so many offcuts and may leave one of a wanted area. */
  function forEachFitting(part: Part, sides: number, offcuts: number, wanted: (area: number) => boolean, stop: DeckledTear): boolean {
    const all = points(part, sides)
    return forEachWay(part, sides, stripsWithin(offcuts), offcuts, (first, sides1, second, sides2, across, at) => {
      if (pointsCeiling(first, sides1) + pointsCeiling(second, sides2) < all) return false
      const a = leastOffcuts(first, sides1)
      const b = leastOffcuts(second, sides2)
      return a + b <= offcuts && wanted(Math.max(offcutCeiling(first, sides1), offcutCeiling(second, sides2)))
        && points(first, sides1) + points(second, sides2) === all
        && within(first, sides1, offcuts - b) && within(second, sides2, offcuts - a) && stop(first, sides1, second, sides2, across, at)
    })
  }

  /** The fewest offcuts with all pieces and points, exactly. */
  function fewestOffcuts(part: Part, sides: number): number {
    within(part, sides, Infinity)
    return leastOffcuts(part, sides)
  }

  const offcutCeiling = (part: Part, sides: number) => plain.offcutCeiling(part, leastOffcuts(part, sides))

  /** Area of the largest single offcut of a part torn with the most points and the fewest tears. */
  function largestOffcut(part: Part, sides: number): number {
    if (sides === 0 || count(part) === 0 || points(part, sides) === 0) return plain.largestOffcut(part)
    const held = deckled(part, sides)
    if (held.largestOffcut >= 0) return held.largestOffcut
    const fewest = fewestOffcuts(part, sides)
    if (fewest <= 1) return held.largestOffcut = offcutCeiling(part, sides)
    let best = 0
    forEachFitting(part, sides, fewest, area => area > best, (first, sides1, second, sides2) => {
      if (offcutCeiling(first, sides1) > best) best = Math.max(best, largestOffcut(first, sides1))
      if (offcutCeiling(second, sides2) > best) best = Math.max(best, largestOffcut(second, sides2))
      return best >= offcutCeiling(part, sides)
    })
    return held.largestOffcut = best
  }

  return { points, fewestOffcuts, largestOffcut, forEachFitting }
}
