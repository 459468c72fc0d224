import type { Lie, StripsAdded } from './ceilings'
import { deckleCeilings, sidesOf, TooManyTears } from './deckle-points'
import { type offcutsOf, stripsWithin } from './offcuts'
import type { Deckled, Part, Parts } from './parts'

/** What a tear leaves, each half with its deckled sides, and where it lies. Returns true to stop. */
type DeckledTear = (first: Part, sides1: number, second: Part, sides2: number, across: 'x' | 'y', at: number) => boolean

/** A tear that keeps all pieces takes as long to look into as so many that are passed over. */
const ofKeeping = 5

/**
 * The lay-outs of parts with deckled sides: the most points with all their pieces, then the fewest offcuts (and so the
 * fewest tears), then the largest single offcut. Each is settled before the next is asked for, since most tears fall
 * out at the first. Widening a strip of waste moves no piece from a deckled side, so of parts that stand alike a larger
 * one earns no less, and what `offcuts.ts` says of them holds here.
 * @param mostTears tears to look at in all before `TooManyTears` is thrown
 */
export function decklesOf(parts: Parts, lies: readonly Lie[], plain: ReturnType<typeof offcutsOf>, mostTears: number) {
  const { alike, lieOf, count, forEachKeeping, looked } = parts
  const { pointsCeiling, mayEarn, mayEarnSpread } = deckleCeilings(parts, lies, mostTears)

  function deckled(part: Part, sides: number): Deckled {
    part.deckled ??= []
    return (part.deckled[sides] ??= {
      points: -1,
      leastOffcuts: -1,
      sure: false,
      known: null,
      largestOffcut: -1,
      larger: [],
    })
  }

  /** Both ways round of every tear that keeps all pieces and may earn the points wanted: the deckled sides go to one half or the other. */
  function forEachWay(
    part: Part,
    sides: number,
    strips: StripsAdded,
    mostOffcuts: number,
    wanted: () => number,
    stop: DeckledTear,
  ): boolean {
    if (looked.tears > mostTears) throw new TooManyTears()
    return forEachKeeping(
      part,
      strips,
      mostOffcuts,
      (first, second, across, at) => {
        looked.tears += ofKeeping
        const [sides1, sides2] = sidesOf(sides, across)
        return (
          stop(first, sides1, second, sides2, across, at) ||
          stop(second, sides1, first, sides2, across, across === 'x' ? second.width : second.height)
        )
      },
      mayEarn(part, sides, wanted),
    )
  }

  /** The most points a part earns with all its pieces. */
  function points(part: Part, sides: number): number {
    if (sides === 0 || count(part) === 0) return 0
    const held = deckled(part, sides)
    if (held.points >= 0) return held.points
    const lie = lieOf(part, sides)
    if (lie >= 0) return (held.points = lies[lie]!.points[sides]!)
    const most = pointsCeiling(part, sides)
    const smallest = alike(part)
    const shares = smallest !== part && count(smallest) === count(part)
    let best = shares ? points(smallest, sides) : 0
    const larger = shares && best < most ? deckled(smallest, sides).larger : []
    if (larger.some((known) => known.points === best && known.width >= part.width && known.height >= part.height))
      return (held.points = best)
    for (const strips of ['none', 'spread'] as const) {
      if (best === most || (strips === 'spread' && !mayEarnSpread(part, sides, best))) break
      forEachWay(
        part,
        sides,
        strips,
        Infinity,
        () => best + 1,
        (first, sides1, second, sides2) => {
          if (pointsCeiling(first, sides1) + pointsCeiling(second, sides2) <= best) return false
          const a = points(first, sides1)
          if (a + pointsCeiling(second, sides2) > best) best = Math.max(best, a + points(second, sides2))
          return best === most
        },
      )
    }
    if (shares && best < most) {
      // Those that this part stands for as well need not be asked again.
      const kept = deckled(smallest, sides)
      kept.larger = [
        ...kept.larger.filter(
          (known) => known.points !== best || known.width > part.width || known.height > part.height,
        ),
        { width: part.width, height: part.height, points: best },
      ]
    }
    return (held.points = best)
  }

  /** Offcuts a part must leave at least, with all its pieces and points, as far as is known. */
  function leastOffcuts(part: Part, sides: number): number {
    if (sides === 0 || count(part) === 0) return plain.leastOffcuts(part)
    const held = deckled(part, sides)
    return held.leastOffcuts >= 0 ? held.leastOffcuts : (held.leastOffcuts = plain.leastOffcuts(part))
  }

  /** True when a part can be laid out, with all its pieces and points, leaving no more than `most` offcuts. */
  function within(part: Part, sides: number, most: number): boolean {
    if (sides === 0 || count(part) === 0 || points(part, sides) === 0) return plain.within(part, most)
    let least = leastOffcuts(part, sides)
    const held = deckled(part, sides)
    if (held.sure || least > most) return least <= most
    if (lieOf(part) >= 0) return (held.sure = true)
    const smallest = alike(part)
    const shares = smallest.pieces === part.pieces && points(smallest, sides) === held.points
    const size = part.width + part.height
    const shared =
      shares && (part.column >= 0 || part.row >= 0)
        ? (deckled(smallest, sides).known ??= { largeEnough: [], tooSmall: [] })
        : { largeEnough: [], tooSmall: [] }
    const { largeEnough, tooSmall } = shared
    while (!held.sure && least <= most) {
      if (size <= (tooSmall[least] ?? 0)) held.leastOffcuts = least += 1
      else if (
        size >= (largeEnough[least] ?? Infinity) ||
        (smallest !== part && shares && within(smallest, sides, least)) ||
        (plain.within(part, least) &&
          forEachFitting(
            part,
            sides,
            least,
            () => true,
            () => true,
          ))
      ) {
        held.sure = true
        largeEnough[least] = Math.min(size, largeEnough[least] ?? Infinity)
      } else {
        tooSmall[least] = Math.max(size, tooSmall[least] ?? 0)
        held.leastOffcuts = least += 1
      }
    }
    return held.leastOffcuts <= most
  }

  /** The tears of a part that keep all its pieces and points, leave no more than so many offcuts, and may leave one of a wanted area. */
  function forEachFitting(
    part: Part,
    sides: number,
    offcuts: number,
    wanted: (area: number) => boolean,
    stop: DeckledTear,
  ): boolean {
    const all = points(part, sides)
    return forEachWay(
      part,
      sides,
      stripsWithin(offcuts),
      offcuts,
      () => all,
      (first, sides1, second, sides2, across, at) => {
        if (pointsCeiling(first, sides1) + pointsCeiling(second, sides2) < all) return false
        const a = leastOffcuts(first, sides1)
        const b = leastOffcuts(second, sides2)
        return (
          a + b <= offcuts &&
          wanted(Math.max(offcutCeiling(first, sides1), offcutCeiling(second, sides2))) &&
          points(first, sides1) + points(second, sides2) === all &&
          within(first, sides1, offcuts - b) &&
          within(second, sides2, offcuts - a) &&
          stop(first, sides1, second, sides2, across, at)
        )
      },
    )
  }

  /** The fewest offcuts with all pieces and points, exactly. */
  function fewestOffcuts(part: Part, sides: number): number {
    within(part, sides, Infinity)
    return leastOffcuts(part, sides)
  }

  /** The tears of a part that keep all its pieces and points, leave the fewest offcuts and may leave one of a wanted area. */
  const forEachBest = (part: Part, sides: number, wanted: (area: number) => boolean, stop: DeckledTear) =>
    forEachFitting(part, sides, fewestOffcuts(part, sides), wanted, stop)

  const offcutCeiling = (part: Part, sides: number) => plain.offcutCeiling(part, leastOffcuts(part, sides))

  /** Area of the largest single offcut of a part torn with the most points and the fewest tears. */
  function largestOffcut(part: Part, sides: number): number {
    if (sides === 0 || count(part) === 0 || points(part, sides) === 0) return plain.largestOffcut(part)
    const held = deckled(part, sides)
    if (held.largestOffcut >= 0) return held.largestOffcut
    if (fewestOffcuts(part, sides) <= 1) return (held.largestOffcut = offcutCeiling(part, sides))
    let best = 0
    forEachBest(
      part,
      sides,
      (area) => area > best,
      (first, sides1, second, sides2) => {
        if (offcutCeiling(first, sides1) > best) best = Math.max(best, largestOffcut(first, sides1))
        if (offcutCeiling(second, sides2) > best) best = Math.max(best, largestOffcut(second, sides2))
        return best >= offcutCeiling(part, sides)
      },
    )
    return (held.largestOffcut = best)
  }

  return { points, fewestOffcuts, largestOffcut, forEachBest }
}
