import type { StripsAdded } from './ceilings'
import type { Part, Parts, Tear } from './parts'

/**
 * Strips to add to normal distances when a tear leaves two parts neither of which is of normal width. Each then holds
 * rows of different widths, and so two offcuts at least: a part with one could be narrowed to a normal width. With two
 * in each, either can be narrowed to one strip more than a normal width, so the one without the largest offcut is.
 */
export const stripsWithin = (offcuts: number): StripsAdded => (offcuts < 4 ? 'none' : offcuts === 4 ? 'one' : 'any')

/**
 * Offcuts of the parts of a sheet: how few each must leave with all its pieces, and the largest one then.
 * @param least the narrowest strip that may be left, @param smallestOffcut area no offcut falls below
 */
export function offcutsOf(
  { pieceArea, partSized, alike, wastes, count, forEachKeeping, isNormal, widths }: Parts,
  least: number,
  smallestOffcut: number,
) {
  /**
   * Offcuts a part must leave at least, as far as is known. The fewest there can be are told from the areas alone. Of a
   * side that is not normal every row holds waste, so a single offcut runs along the whole part beside a block without
   * waste; with both sides not normal a second one lies under that block.
   */
  function leastOffcuts(part: Part): number {
    if (part.leastOffcuts >= 0) return part.leastOffcuts
    const pieces = count(part)
    const area = pieces * pieceArea
    const fewest = part.width * part.height === area ? 0 : pieces === 0 ? 1 : wastes(pieces, part.column, part.row)
    const { width, height } = part
    if (fewest === 0 && width * height > area) return (part.leastOffcuts = 1)
    part.sure =
      pieces === 0 ||
      fewest === 0 ||
      (part.row >= 0 && full(area / height, height, width - area / height, pieces)) ||
      (part.column >= 0 && full(width, area / width, height - area / width, pieces)) ||
      (fewest === 2 && fullCorner(part, area))
    return (part.leastOffcuts = part.sure ? fewest : fewest + 1)
  }

  /** True when so many pieces fill a block without waste, and what is left beside it can be torn off. */
  function full(width: number, height: number, left: number, pieces: number): boolean {
    return left >= least && isNormal(width, height) && count(partSized(width, height)) === pieces
  }

  /** True when a block without waste of that area leaves strips along two sides of a part. */
  function fullCorner({ width, height, pieces }: Part, area: number): boolean {
    for (let i = widths.length - 1; i > 0 && widths[i]! * (height - least) >= area; i--) {
      const block = widths[i]!
      if (block <= width - least && full(block, area / block, height - area / block, pieces)) return true
    }
    return false
  }

  /**
   * True when a part can be laid out, with all its pieces, leaving no more than `most` offcuts. Of parts that stand
   * alike and give as many pieces a larger one needs no more offcuts: the strips in it are only wider.
   */
  function within(part: Part, most: number): boolean {
    let least = leastOffcuts(part)
    if (part.sure || least > most) return least <= most
    const smallest = alike(part)
    const shares = smallest.pieces === part.pieces
    // Of parts that share one side the other tells which is larger.
    const { largeEnough, tooSmall } =
      shares && (part.column >= 0 || part.row >= 0)
        ? (smallest.known ??= { largeEnough: [], tooSmall: [] })
        : { largeEnough: [], tooSmall: [] }
    const size = part.width + part.height
    while (!part.sure && least <= most) {
      if (size <= (tooSmall[least] ?? 0)) part.leastOffcuts = least += 1
      else if (
        size >= (largeEnough[least] ?? Infinity) ||
        (smallest !== part && shares && within(smallest, least)) ||
        leaves(part, least)
      ) {
        part.sure = true
        largeEnough[least] = Math.min(size, largeEnough[least] ?? Infinity)
      } else {
        tooSmall[least] = Math.max(size, tooSmall[least] ?? 0)
        part.leastOffcuts = least += 1
      }
    }
    return part.leastOffcuts <= most
  }

  /** True when one of its tears lets a part be laid out leaving so many offcuts. */
  function leaves(part: Part, offcuts: number): boolean {
    return forEachKeeping(
      part,
      stripsWithin(offcuts),
      offcuts,
      (first, second) =>
        leastOffcuts(first) + leastOffcuts(second) <= offcuts &&
        within(first, offcuts - leastOffcuts(second)) &&
        within(second, offcuts - leastOffcuts(first)),
    )
  }

  /** The fewest offcuts, exactly. */
  function fewestOffcuts(part: Part): number {
    within(part, Infinity)
    return part.leastOffcuts
  }

  const wasteOf = (part: Part) => part.width * part.height - count(part) * pieceArea

  /** A part's largest single offcut cannot be larger, its other offcuts being as small as may be. */
  const offcutCeiling = (part: Part, offcuts = leastOffcuts(part)) =>
    wasteOf(part) - Math.max(0, offcuts - 1) * smallestOffcut

  /**
   * The tears of a part that keep all its pieces, leave the fewest offcuts and may leave one of an area that is
   * `wanted`; asked before the offcuts are counted, which takes longest.
   */
  function forEachBest(part: Part, wanted: (area: number) => boolean, stop: Tear): void {
    const least = fewestOffcuts(part)
    forEachKeeping(part, stripsWithin(least), least, (first, second, across, at) => {
      const a = leastOffcuts(first)
      const b = leastOffcuts(second)
      return (
        a + b <= least &&
        wanted(Math.max(offcutCeiling(first), offcutCeiling(second))) &&
        within(first, least - b) &&
        within(second, least - a) &&
        stop(first, second, across, at)
      )
    })
  }

  /** Area of the largest single offcut of a part torn with the fewest tears. */
  function largestOffcut(part: Part): number {
    if (part.largestOffcut >= 0) return part.largestOffcut
    if (fewestOffcuts(part) <= 1) return (part.largestOffcut = wasteOf(part))
    let best = 0
    forEachBest(
      part,
      (area) => area > best,
      (first, second) => {
        for (const half of [first, second]) if (offcutCeiling(half) > best) best = Math.max(best, largestOffcut(half))
        return best >= offcutCeiling(part)
      },
    )
    return (part.largestOffcut = best)
  }

  return { leastOffcuts, within, fewestOffcuts, offcutCeiling, largestOffcut, forEachBest }
}
