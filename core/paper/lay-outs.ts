import { deckleBits, type Lie } from './ceilings'
import { pointsCeilings, sidesAfter } from './knife-points'
import { type Across, type Part, partsOf, type Tear } from './parts'

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
 * must normal widths with strips added be tried as well. Those leave neither part of normal width, and then two offcuts
 * at least in each: one with a single offcut could be narrowed to a normal width, and would not need it.
 *
 * One memo over (part, which of its sides carry a deckle that earns) keeps the tears that can still give all the pieces
 * and compares (points, fewest offcuts, largest offcut); tears are pieces + offcuts − 1.
 */

/** A lay-out as a tree: a part torn in two, a piece, or what is left over. */
export type Layout =
  | { kind: 'piece'; lie: number }
  | { kind: 'offcut' }
  | { kind: 'torn'; across: Across; at: number; first: Layout; second: Layout }

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

/** What can be had from a part: points, then as few offcuts as may be, then the largest of them. */
interface Worth {
  points: number
  offcuts: number
  largest: number
}

/** True when the first is no better than the second. */
const noBetter = (a: Worth, b: Worth) =>
  a.points < b.points ||
  (a.points === b.points && (a.offcuts > b.offcuts || (a.offcuts === b.offcuts && a.largest <= b.largest)))

/** A part with its deckled sides: what may be hoped for, and once it is settled what there is and how. */
interface Settled {
  part: Part
  sides: number
  /** No worse than the best; the best itself once `done`. */
  hoped: Worth
  done: boolean
  torn: { across: Across; at: number; first: Settled; second: Settled } | null
}

/** Two parts that a tear leaves, in the order they take the deckled sides. */
interface Choice {
  across: Across
  at: number
  first: Settled
  second: Settled
  /** Offcuts each leaves at least, for that is how such a tear is worth trying. */
  leastEach: number
  hoped: Worth
}

const flipped = (sides: number, a: number, b: number) => (sides & ~(a | b)) | (sides & a ? b : 0) | (sides & b ? a : 0)
const acrossX = (sides: number) => flipped(sides, deckleBits.left, deckleBits.right)
const acrossY = (sides: number) => flipped(sides, deckleBits.top, deckleBits.bottom)

/**
 * For every set of deckled sides the one that stands for it: sides that earn nothing are left out, and of those that
 * mirror one another for the same points one serves.
 */
function representatives(lies: readonly Lie[]): number[] {
  const all = Array.from({ length: 16 }, (_, sides) => sides)
  const earns = (bit: number) => lies.some(({ points }) => all.some((sides) => points[sides | bit]! > points[sides]!))
  const earning = Object.values(deckleBits)
    .filter(earns)
    .reduce((bits, bit) => bits | bit, 0)
  const mirrors = [(sides: number) => sides, acrossX, acrossY, (sides: number) => acrossX(acrossY(sides))].filter(
    (mirror) => lies.every(({ points }) => all.every((s) => points[s & earning] === points[mirror(s & earning)])),
  )
  return all.map((sides) => Math.min(...mirrors.map((mirror) => mirror(sides & earning))))
}

/**
 * The best lay-outs of one sheet, by the sides that carry a deckle.
 * @param lies the ways a piece may lie (one when the grain is fixed, two otherwise); none is narrower than the strip
 * @param strip the narrowest strip that can be torn, 0 for a knife
 * @param progress told now and then how many parts were looked at
 * @returns for the bits of deckled sides (0 when none is wanted) the most pieces; of those lay-outs the most points, then
 * the fewest tears, then the largest single offcut
 */
export function bestLayouts(
  width: number,
  height: number,
  lies: readonly Lie[],
  strip: number,
  progress: (parts: number) => void = () => {},
): (deckles: number) => Best {
  const parts = partsOf(width, height, lies, strip)
  const { x, y, whole, count, lieOf, pieceArea } = parts
  const { mostPoints, mostPieces } = pointsCeilings(parts, lies)
  const representative = representatives(lies)
  const narrowest = Math.max(strip, 1)
  const smallestOffcut = Math.min(narrowest, width) * Math.min(narrowest, height)
  const memo = new Map<Part, (Settled | undefined)[]>()
  let looked = 0

  /** True when so many pieces fill a block without waste, and what is left beside it can be torn off. */
  const fills = (w: number, h: number, left: number, pieces: number) =>
    left >= narrowest && x.isNormal(w) && y.isNormal(h) && count(parts.partSized(w, h)) === pieces

  /**
   * Offcuts a part must leave at least. Of a side that is not normal every row holds waste, so a single offcut runs
   * along the whole part beside a block without waste; with both sides not normal a second one lies under that block.
   */
  function leastOffcuts({ width, height, column, row }: Part, pieces: number): number {
    const area = pieces * pieceArea
    if (area === width * height) return 0
    if (pieces === 0 || (column >= 0 && row >= 0)) return 1
    if (column < 0 && row < 0) return 2
    const single =
      column < 0
        ? fills(area / height, height, width - area / height, pieces)
        : fills(width, area / width, height - area / width, pieces)
    return single ? 1 : 2
  }

  function held(part: Part, given: number): Settled {
    const sides = representative[given]!
    let known = memo.get(part)
    if (!known) memo.set(part, (known = []))
    return (known[sides] ??= begun(part, sides))
  }

  function begun(part: Part, sides: number): Settled {
    const pieces = count(part)
    const waste = part.width * part.height - pieces * pieceArea
    const lie = lieOf(part, sides)
    if (lie >= 0)
      return {
        part,
        sides,
        done: true,
        torn: null,
        hoped: { points: lies[lie]!.points[sides]!, offcuts: 0, largest: 0 },
      }
    if (pieces === 0) return { part, sides, done: true, torn: null, hoped: { points: 0, offcuts: 1, largest: waste } }
    const offcuts = leastOffcuts(part, pieces)
    const largest = waste - Math.max(0, offcuts - 1) * smallestOffcut
    return {
      part,
      sides,
      done: false,
      torn: null,
      hoped: { points: mostPoints(part, sides, pieces), offcuts, largest },
    }
  }

  /** What two parts may come to together. */
  const together = (a: Settled, b: Settled, leastEach: number): Worth => ({
    points: a.hoped.points + b.hoped.points,
    offcuts: Math.max(leastEach, a.hoped.offcuts) + Math.max(leastEach, b.hoped.offcuts),
    largest: Math.max(a.hoped.largest, b.hoped.largest),
  })

  /** The best of a part, by all its tears that keep all pieces; the most hopeful first. */
  function settle(one: Settled): Worth {
    if (one.done) return one.hoped
    if (++looked % 1000 === 0) progress(looked)
    let best: Worth = { points: -1, offcuts: Infinity, largest: -1 }
    for (const strips of ['none', 'spread'] as const) {
      const choices = (['x', 'y'] as const).flatMap((across) => choicesAcross(one, across, strips, best))
      choices.sort(
        (a, b) =>
          b.hoped.points - a.hoped.points || a.hoped.offcuts - b.hoped.offcuts || b.hoped.largest - a.hoped.largest,
      )
      for (const choice of choices) {
        if (noBetter(choice.hoped, best) || noBetter(one.hoped, best)) break
        const { first, second, leastEach } = choice
        if (noBetter(together(first, second, leastEach), best)) continue
        settle(first)
        if (noBetter(together(first, second, leastEach), best)) continue
        settle(second)
        const come = together(first, second, 0)
        if (noBetter(come, best)) continue
        best = come
        one.torn = choice
      }
      if (noBetter(one.hoped, best)) break
    }
    one.done = true
    return (one.hoped = best)
  }

  /** The tears across a part that keep all its pieces and may better what is known, both ways round. */
  function choicesAcross({ part, sides }: Settled, across: Across, strips: 'none' | 'spread', best: Worth): Choice[] {
    const leastEach = strips === 'spread' ? 2 : 0
    if (strips === 'spread' && !mayBetterSpread(part, sides, across, best)) return []
    const pieces = count(part)
    const [near, far] = sidesAfter(sides, across)
    const choices: Choice[] = []
    const add = (first: Settled, second: Settled, at: number) => {
      const hoped = together(first, second, leastEach)
      if (!noBetter(hoped, best)) choices.push({ across, at, first, second, leastEach, hoped })
    }
    parts.eachTear(part, across, strips, pieces, (tear: Tear) => {
      const [first, second] = parts.halves(part, across, tear)
      if (count(first) + second.most < pieces || count(first) + count(second) < pieces) return false
      add(held(first, near), held(second, far), tear.at)
      if (representative[near] !== representative[far]) {
        const length = across === 'x' ? part.width : part.height
        add(held(second, near), held(first, far), length - tear.at)
      }
      return false
    })
    return choices
  }

  /** True when a tear that leaves neither part of normal width may keep all pieces and better what is known. */
  function mayBetterSpread(part: Part, sides: number, across: Across, best: Worth): boolean {
    const axis = across === 'x' ? x : y
    if (!axis.close) return false
    const column = across === 'x' ? x.standingOfTwo(part.width) : part.column
    const row = across === 'y' ? y.standingOfTwo(part.height) : part.row
    const pieces = count(part)
    if (mostPieces(column, row) < pieces) return false
    const points = mostPoints({ ...part, column, row }, sides, pieces)
    return points > best.points || (points === best.points && best.offcuts >= 4)
  }

  function layoutOf({ part, torn }: Settled, sides: number): Layout {
    if (!torn) {
      const lie = lieOf(part, sides)
      return lie >= 0 ? { kind: 'piece', lie } : { kind: 'offcut' }
    }
    return laid(part, sides, torn)
  }

  /** A memo entry may stand for a mirror image: the sides that are really there tell which half lies near. */
  function laid(part: Part, sides: number, torn: NonNullable<Settled['torn']>): Layout {
    const { across, first, second } = torn
    const [near, far] = sidesAfter(sides, across)
    const asHeld = held(first.part, near) === first && held(second.part, far) === second
    const [a, b] = asHeld ? [first, second] : [second, first]
    const at = across === 'x' ? a.part.width : a.part.height
    return { kind: 'torn', across, at, first: layoutOf(a, near), second: layoutOf(b, far) }
  }

  return (deckles) => {
    const settled = held(whole, deckles)
    const { points, offcuts, largest } = settle(settled)
    const pieces = count(whole)
    return {
      pieces,
      cut: parts.knife.byRow.at(-1)!,
      points,
      tears: pieces === 0 ? 0 : pieces + offcuts - 1,
      offcut: largest,
      layout: layoutOf(settled, deckles),
    }
  }
}
