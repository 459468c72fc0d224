import { deckleBits, type Lie } from './ceilings'
import { type Across, type Part, Parts, type Tear } from './parts'
import { Points, sidesAfter } from './points'

/**
 * The most equal pieces that tears right across the part in hand can give, and of all such lay-outs the best (models.md, M2).
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
  /** Area that is in no piece. */
  waste: number
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

/** What one part must better for the two together to better `best`; nothing is as large as Infinity, so that fewer offcuts are asked for. */
const floorBeside = (other: Worth, best: Worth): Worth => {
  const points = best.points - other.points
  const offcuts = best.offcuts - other.offcuts
  return other.largest > best.largest
    ? { points, offcuts: offcuts + 1, largest: Infinity }
    : { points, offcuts, largest: best.largest }
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

/** The largest offcut that may be hoped for of a part that leaves so many: of more than hoped for, nothing is known. */
const largestOf = ({ hoped, waste }: Settled, leastEach: number) => (hoped.offcuts < leastEach ? waste : hoped.largest)

/** What two parts may come to together. */
const together = (a: Settled, b: Settled, leastEach: number): Worth => ({
  points: a.hoped.points + b.hoped.points,
  offcuts: Math.max(leastEach, a.hoped.offcuts) + Math.max(leastEach, b.hoped.offcuts),
  largest: Math.max(largestOf(a, leastEach), largestOf(b, leastEach)),
})

const mostHopefulFirst = (a: Choice, b: Choice) =>
  b.hoped.points - a.hoped.points || a.hoped.offcuts - b.hoped.offcuts || b.hoped.largest - a.hoped.largest

const anything: Worth = { points: -1, offcuts: Infinity, largest: -1 }

/** The search for the best lay-outs of one sheet. */
class Search {
  private readonly parts: Parts
  private readonly points: Points
  private readonly representative: number[]
  private readonly narrowest: number
  private readonly smallestOffcut: number
  private readonly memo = new Map<Part, (Settled | undefined)[]>()
  private looked = 0

  constructor(
    sheet: { width: number; height: number },
    private readonly lies: readonly Lie[],
    strip: number,
    private readonly progress: (parts: number) => void,
  ) {
    this.parts = new Parts(lies, strip, sheet)
    this.points = new Points(this.parts.bounds, lies)
    this.representative = representatives(lies)
    this.narrowest = Math.max(strip, 1)
    this.smallestOffcut = Math.min(this.narrowest, sheet.width) * Math.min(this.narrowest, sheet.height)
  }

  /** The best lay-out when those sides carry a deckle. */
  best(deckles: number): Best {
    const { parts } = this
    const settled = this.held(parts.whole(), deckles)
    this.settle(settled, anything)
    const { points, offcuts, largest } = settled.hoped
    const pieces = parts.count(settled.part)
    return {
      pieces,
      cut: parts.bounds.pieces[0].byRow.at(-1)!,
      points,
      tears: pieces === 0 ? 0 : pieces + offcuts - 1,
      offcut: largest,
      layout: this.layoutOf(settled, deckles),
    }
  }

  private held(part: Part, given: number): Settled {
    const sides = this.representative[given]!
    let known = this.memo.get(part)
    if (!known) this.memo.set(part, (known = []))
    return (known[sides] ??= this.begun(part, sides))
  }

  private begun(part: Part, sides: number): Settled {
    const { parts, points, lies } = this
    const pieces = parts.count(part)
    const waste = part.width * part.height - pieces * parts.pieceArea
    const lie = parts.lieOf(part, sides)
    const settled = (hoped: Worth, done: boolean): Settled => ({ part, sides, waste, hoped, done, torn: null })
    if (lie >= 0) return settled({ points: lies[lie]!.points[sides]!, offcuts: 0, largest: 0 }, true)
    if (pieces === 0) return settled({ points: 0, offcuts: 1, largest: waste }, true)
    const offcuts = this.leastOffcuts(part, pieces)
    const largest = waste - Math.max(0, offcuts - 1) * this.smallestOffcut
    return settled({ points: points.most(part.column, part.row, sides, pieces), offcuts, largest }, false)
  }

  /**
   * Offcuts a part must leave at least. Of a side that is not normal every row holds waste, so a single offcut runs
   * along the whole part beside a block without waste; with both sides not normal a second one lies under that block.
   */
  private leastOffcuts({ width, height, column, row }: Part, pieces: number): number {
    const area = pieces * this.parts.pieceArea
    if (area === width * height) return 0
    if (pieces === 0 || (column >= 0 && row >= 0)) return 1
    if (column < 0 && row < 0) return 2
    const single =
      column < 0
        ? this.fills(area / height, height, width - area / height, pieces)
        : this.fills(width, area / width, height - area / width, pieces)
    return single ? 1 : 2
  }

  /** True when so many pieces fill a block without waste, and what is left beside it can be torn off. */
  private fills(width: number, height: number, left: number, pieces: number): boolean {
    const { parts, narrowest } = this
    if (left < narrowest || !parts.x.isNormal(width) || !parts.y.isNormal(height)) return false
    return parts.count(parts.sized(width, height)) === pieces
  }

  /**
   * The best of a part, by all its tears that keep all pieces, the most hopeful first. Only what betters `floor` is
   * sought: when there is none, the part stays unsettled and no more than the floor is hoped for.
   */
  private settle(one: Settled, floor: Worth): void {
    if (one.done || noBetter(one.hoped, floor)) return
    if (++this.looked % 1000 === 0) this.progress(this.looked)
    let best = floor
    for (const strips of ['none', 'spread'] as const) {
      const choices = [...this.choices(one, 'x', strips, best), ...this.choices(one, 'y', strips, best)]
      for (const choice of choices.sort(mostHopefulFirst)) {
        if (noBetter(choice.hoped, best) || noBetter(one.hoped, best)) break
        const come = this.tried(choice, best)
        if (!come) continue
        best = come
        one.torn = choice
        one.done = true
      }
      if (noBetter(one.hoped, best)) break
    }
    one.hoped = best
  }

  /** What a tear comes to, or null when that is no better than the best known. */
  private tried({ first, second, leastEach }: Choice, best: Worth): Worth | null {
    if (noBetter(together(first, second, leastEach), best)) return null
    this.settle(first, floorBeside(second.hoped, best))
    if (noBetter(together(first, second, leastEach), best)) return null
    this.settle(second, floorBeside(first.hoped, best))
    const come = together(first, second, 0)
    return noBetter(come, best) ? null : come
  }

  /** The tears across a part that keep all its pieces and may better what is known, both ways round. */
  private choices(one: Settled, across: Across, strips: 'none' | 'spread', best: Worth): Choice[] {
    const { part, sides } = one
    const { parts, representative } = this
    const leastEach = strips === 'spread' ? 2 : 0
    if (strips === 'spread' && !this.mayBetterSpread(part, sides, across, best)) return []
    const pieces = parts.count(part)
    const [near, far] = sidesAfter(sides, across)
    const choices: Choice[] = []
    const add = (first: Settled, second: Settled, at: number) => {
      const hoped = together(first, second, leastEach)
      if (!noBetter(hoped, best)) choices.push({ across, at, first, second, leastEach, hoped })
    }
    parts.eachTear(part, across, strips, pieces, (tear: Tear) => {
      if (!this.mayBetter(one, across, tear, leastEach, best)) return false
      const [first, second] = parts.halves(part, across, tear)
      if (parts.count(first) + second.most < pieces || parts.count(first) + parts.count(second) < pieces) return false
      add(this.held(first, near), this.held(second, far), tear.at)
      if (representative[near] !== representative[far]) {
        const length = across === 'x' ? part.width : part.height
        add(this.held(second, near), this.held(first, far), length - tear.at)
      }
      return false
    })
    return choices
  }

  /** True when a tear that leaves neither part of normal width may keep all pieces and better what is known. */
  private mayBetterSpread(part: Part, sides: number, across: Across, best: Worth): boolean {
    const { x, y } = this.parts
    if (!(across === 'x' ? x : y).close) return false
    const column = across === 'x' ? x.standingOfTwo(part.width) : part.column
    const row = across === 'y' ? y.standingOfTwo(part.height) : part.row
    const pieces = this.parts.count(part)
    if (pieces < 2 || this.points.mostPieces(column, row) < pieces) return false
    const points = this.points.most(column, row, sides, pieces)
    return points > best.points || (points === best.points && best.offcuts >= 4)
  }

  /**
   * True when a tear may better what is known, told by where its halves stand, before they are made. Halves that leave two
   * offcuts each hold a piece each.
   */
  private mayBetter({ part, sides }: Settled, across: Across, { near, far }: Tear, leastEach: number, best: Worth) {
    const { points } = this
    const [column, row, farColumn, farRow] =
      across === 'x' ? [near, part.row, far, part.row] : [part.column, near, part.column, far]
    const pieces = points.mostPieces(column, row)
    const farPieces = points.mostPieces(farColumn, farRow)
    if (leastEach > 0 && (pieces === 0 || farPieces === 0)) return false
    if (pieces + farPieces > part.pieces) return true
    const [nearSides, farSides] = sidesAfter(sides, across)
    const hoped = Math.max(
      points.most(column, row, nearSides, pieces) + points.most(farColumn, farRow, farSides, farPieces),
      points.most(column, row, farSides, pieces) + points.most(farColumn, farRow, nearSides, farPieces),
    )
    return hoped > best.points || (hoped === best.points && best.offcuts >= 2 * leastEach)
  }

  private layoutOf({ part, torn }: Settled, sides: number): Layout {
    if (torn) return this.torn(torn, sides)
    const lie = this.parts.lieOf(part, sides)
    return lie >= 0 ? { kind: 'piece', lie } : { kind: 'offcut' }
  }

  /** A memo entry may stand for a mirror image: the sides that are really there tell which half lies near. */
  private torn({ across, first, second }: NonNullable<Settled['torn']>, sides: number): Layout {
    const [near, far] = sidesAfter(sides, across)
    const asHeld = this.held(first.part, near) === first && this.held(second.part, far) === second
    const [a, b] = asHeld ? [first, second] : [second, first]
    const at = across === 'x' ? a.part.width : a.part.height
    return { kind: 'torn', across, at, first: this.layoutOf(a, near), second: this.layoutOf(b, far) }
  }
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
  const search = new Search({ width, height }, lies, strip, progress)
  return (deckles) => search.best(deckles)
}
