import { Axis, ceilings, type Lie, type StripsAdded } from './ceilings'

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

/** More different lengths than any search meets; keeps the key of a part a small whole number. */
const mostLengths = 46_000

export const deckleBits = { left: 1, right: 2, top: 4, bottom: 8 } as const

/**
 * One part of the sheet: its sides, where they stand in the ceilings, and what the search has found out about it.
 * Unknown numbers are −1.
 */
interface Part {
  readonly width: number
  readonly height: number
  readonly column: number
  readonly row: number
  readonly widthId: number
  readonly heightId: number
  /** No fewer than the most pieces it gives. */
  readonly most: number
  /** The smallest part whose sides stand alike; itself when it is of normal width and height. */
  alike: Part | null
  pieces: number
  /** Offcuts it must leave: at least so many, and exactly that when `sure`. */
  leastOffcuts: number
  sure: boolean
  /** Of the smallest of parts alike: by offcuts, width and height together that are known to do with so many, or not. */
  known: { largeEnough: number[], tooSmall: number[] } | null
  largestOffcut: number
  /** By the bits of its deckled sides. */
  deckled: (Deckled | undefined)[] | null
}

/** The best a part with deckled sides can be laid out, and its first tear. */
interface Deckled { points: number, tears: number, offcut: number, across: 'x' | 'y', at: number }

/** What a tear leaves, and where it lies. Returns true to stop. */
type Tear = (first: Part, second: Part, across: 'x' | 'y', at: number) => boolean

/** The deckled sides of the two parts a tear leaves. */
const sidesOf = (sides: number, across: 'x' | 'y'): [number, number] => (across === 'x'
  ? [sides & ~deckleBits.right, sides & ~deckleBits.left]
  : [sides & ~deckleBits.bottom, sides & ~deckleBits.top])

/**
 * Strips to add to normal distances when a tear leaves two parts neither of which is of normal width. Each then holds
 * rows of different widths, and so two offcuts at least: a part with one could be narrowed to a normal width. With two
 * in each, either can be narrowed to one strip more than a normal width, so the one without the largest offcut is.
 */
const stripsWithin = (offcuts: number): StripsAdded => (offcuts < 4 ? 'none' : offcuts === 4 ? 'one' : 'any')

/**
 * The best lay-out of one part.
 * @param lies the ways a piece may lie (one when the grain is fixed, two otherwise)
 * @param strip the narrowest strip that can be torn, 0 for a knife
 * @param deckles bits of the part's deckled sides that earn points; 0 when none is wanted
 * @returns the most pieces; of those lay-outs the most points, then the fewest tears, then the largest single offcut
 */
export function bestLayout(width: number, height: number, lies: readonly Lie[], strip: number, deckles: number): Best {
  const x = new Axis(lies.map(lie => lie.width), width, strip)
  const y = new Axis(lies.map(lie => lie.height), height, strip)
  const columns = x.normal.length
  const rows = y.normal.length
  const restsX = x.normal.map((_, i) => ({ cut: x.rest(i, 0), torn: x.rest(i, strip) }))
  const restsY = y.normal.map((_, i) => ({ cut: y.rest(i, 0), torn: y.rest(i, strip) }))
  const knife = ceilings(x, y, lies, restsX, restsY, { x: null, y: null })
  const tornX = strip === 0 ? knife : ceilings(x, y, lies, restsX, restsY, { x: knife, y: null })
  const tornY = strip === 0 ? knife : ceilings(x, y, lies, restsX, restsY, { x: null, y: knife })
  const torn = strip === 0 ? knife : ceilings(x, y, lies, restsX, restsY, { x: tornY, y: tornX })
  const smallestOffcut = Math.min(Math.max(strip, 1), width) * Math.min(Math.max(strip, 1), height)
  const pieceArea = lies[0]!.width * lies[0]!.height
  const normalParts = new Array<Part | undefined>(columns * rows)
  const otherParts = new Map<number, Part>()

  /** Ceilings by where width and height stand: of normal ones or not. */
  const across = (row: number) => (row >= 0 ? { normal: torn.byRow, other: tornY.byRow, base: row * columns } : { normal: tornX.byRow, other: knife.byRow, base: (-1 - row) * columns })
  const down = (column: number) => (column >= 0 ? { normal: torn.byColumn, other: tornX.byColumn, base: column * rows } : { normal: tornY.byColumn, other: knife.byColumn, base: (-1 - column) * rows })

  function ceilingAt(column: number, row: number): number {
    const { normal, other, base } = across(row)
    return column >= 0 ? normal[base + column]! : other[base - 1 - column]!
  }

  /** Each part is made once. */
  function partOf(width: number, height: number, column: number, row: number, widthId: number, heightId: number): Part {
    const normal = column >= 0 && row >= 0
    const key = normal ? column * rows + row : widthId * mostLengths + heightId
    const known = normal ? normalParts[key] : otherParts.get(key)
    if (known) return known
    const most = ceilingAt(column, row)
    const part: Part = { width, height, column, row, widthId, heightId, most, alike: null, pieces: strip === 0 || most === 0 ? most : -1, leastOffcuts: -1, sure: false, known: null, largestOffcut: -1, deckled: null }
    if (normal) normalParts[key] = part
    else otherParts.set(key, part)
    return part
  }

  function partSized(width: number, height: number): Part {
    const column = x.standing(width)
    const row = y.standing(height)
    return partOf(width, height, column, row, x.id(width, column), y.id(height, row))
  }

  /** The smallest part whose sides stand alike. */
  function alike(part: Part): Part {
    if (part.alike) return part.alike
    const { column, row, widthId, heightId } = part
    const width = column < 0 ? x.narrowest(column) : part.width
    const height = row < 0 ? y.narrowest(row) : part.height
    return part.alike = partOf(width, height, column, row, column < 0 ? x.id(width, column) : widthId, row < 0 ? y.id(height, row) : heightId)
  }

  /** The way a piece fills that part exactly, of two (a square) the one with more points; -1 for none. */
  function lieOf({ width, height }: Part, sides = 0): number {
    let best = -1
    for (let i = 0; i < lies.length; i++) {
      const lie = lies[i]!
      if (lie.width === width && lie.height === height && (best < 0 || lie.points[sides]! > lies[best]!.points[sides]!)) best = i
    }
    return best
  }

  /** Offcuts a part leaves at least, by where its sides stand: one in each direction that pieces do not fill. */
  const wastes = (most: number, column: number, row: number) => (most === 0 ? 1 : (column < 0 ? 1 : 0) + (row < 0 ? 1 : 0))

  /** Go through the tears of a part that may give so many pieces and leave no more than so many offcuts, until `stop` says so. */
  function forEachTear(part: Part, stripsAdded: StripsAdded, pieces: number, mostOffcuts: number, stop: Tear): boolean {
    const { width, height, column, row, widthId, heightId } = part
    const columnsOf = across(row)
    const tearsX = x.places(width, x.close ? stripsAdded : 'none')
    for (let i = 0; i < tearsX.at.length; i++) {
      const near = tearsX.near[i]!
      const far = tearsX.far[i]!
      const first = near >= 0 ? columnsOf.normal[columnsOf.base + near]! : columnsOf.other[columnsOf.base - 1 - near]!
      const second = far >= 0 ? columnsOf.normal[columnsOf.base + far]! : columnsOf.other[columnsOf.base - 1 - far]!
      if (first + second < pieces || wastes(first, near, row) + wastes(second, far, row) > mostOffcuts) continue
      const at = tearsX.at[i]!
      if (stop(partOf(at, height, near, row, x.id(at, near), heightId), partOf(width - at, height, far, row, x.id(width - at, far), heightId), 'x', at)) return true
    }
    const rowsOf = down(column)
    const tearsY = y.places(height, y.close ? stripsAdded : 'none')
    for (let i = 0; i < tearsY.at.length; i++) {
      const near = tearsY.near[i]!
      const far = tearsY.far[i]!
      const first = near >= 0 ? rowsOf.normal[rowsOf.base + near]! : rowsOf.other[rowsOf.base - 1 - near]!
      const second = far >= 0 ? rowsOf.normal[rowsOf.base + far]! : rowsOf.other[rowsOf.base - 1 - far]!
      if (first + second < pieces || wastes(first, column, near) + wastes(second, column, far) > mostOffcuts) continue
      const at = tearsY.at[i]!
      if (stop(partOf(width, at, column, near, widthId, y.id(at, near)), partOf(width, height - at, column, far, widthId, y.id(height - at, far)), 'y', at)) return true
    }
    return false
  }

  /**
   * The most pieces from a part. Parts whose sides stand alike share a ceiling, and of those a larger one gives no
   * less: when the smallest reaches the ceiling, all do.
   */
  function count(part: Part): number {
    if (part.pieces < 0) part.pieces = alike(part) !== part && count(alike(part)) === part.most ? part.most : tried(part)
    return part.pieces
  }

  /** The most pieces from a part, by trying its tears; those that may reach the ceiling first. */
  function tried(part: Part): number {
    let best = lieOf(part) >= 0 ? 1 : 0
    for (const wanted of [part.most, 1]) {
      for (const stripsAdded of ['none', 'any'] as const) {
        if (best >= part.most || (stripsAdded === 'any' && !x.close && !y.close)) break
        forEachTear(part, stripsAdded, wanted, Infinity, (first, second) => {
          if (first.most + second.most <= best) return false
          if (count(first) + second.most > best) best = Math.max(best, count(first) + count(second))
          return best >= part.most
        })
      }
    }
    return best
  }

  /** The tears of a part that keep all its pieces and may leave no more than so many offcuts. */
  function forEachKeeping(part: Part, stripsAdded: StripsAdded, mostOffcuts: number, stop: Tear): boolean {
    const pieces = count(part)
    return forEachTear(part, stripsAdded, pieces, mostOffcuts, (first, second, across, at) => (
      count(first) + second.most >= pieces && count(first) + count(second) >= pieces && stop(first, second, across, at)
    ))
  }

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
    if (fewest === 0 && width * height > area) return part.leastOffcuts = 1
    part.sure = pieces === 0 || fewest === 0
      || (part.row >= 0 && full(area / height, height, width - area / height, pieces))
      || (part.column >= 0 && full(width, area / width, height - area / width, pieces))
      || (fewest === 2 && fullCorner(part, area))
    return part.leastOffcuts = part.sure ? fewest : fewest + 1
  }

  /** True when so many pieces fill a block without waste, and what is left beside it can be torn off. */
  function full(width: number, height: number, left: number, pieces: number): boolean {
    return left >= Math.max(strip, 1) && x.isNormal(width) && y.isNormal(height) && count(partSized(width, height)) === pieces
  }

  /** True when a block without waste of that area leaves strips along two sides of a part. */
  function fullCorner({ width, height, pieces }: Part, area: number): boolean {
    const least = Math.max(strip, 1)
    for (let i = x.normal.length - 1; i > 0 && x.normal[i]! * (height - least) >= area; i--) {
      const block = x.normal[i]!
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
    const { largeEnough, tooSmall } = shares && (part.column >= 0 || part.row >= 0) ? smallest.known ??= { largeEnough: [], tooSmall: [] } : { largeEnough: [], tooSmall: [] }
    const size = part.width + part.height
    while (!part.sure && least <= most) {
      if (size <= (tooSmall[least] ?? 0)) part.leastOffcuts = least += 1
      else if (size >= (largeEnough[least] ?? Infinity) || (smallest !== part && shares && within(smallest, least)) || leaves(part, least)) {
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
    return forEachKeeping(part, stripsWithin(offcuts), offcuts, (first, second) => (
      leastOffcuts(first) + leastOffcuts(second) <= offcuts && within(first, offcuts - leastOffcuts(second)) && within(second, offcuts - leastOffcuts(first))
    ))
  }

  /** The fewest offcuts, exactly. */
  function fewestOffcuts(part: Part): number {
    within(part, Infinity)
    return part.leastOffcuts
  }

  const wasteOf = (part: Part) => part.width * part.height - count(part) * pieceArea

  /** A part's largest single offcut cannot be larger, its other offcuts being as small as may be. */
  const offcutCeiling = (part: Part) => wasteOf(part) - Math.max(0, leastOffcuts(part) - 1) * smallestOffcut

  /**
   * The tears of a part that keep all its pieces, leave the fewest offcuts and may leave one of an area that is
   * `wanted`; asked before the offcuts are counted, which takes longest.
   */
  function forEachBest(part: Part, wanted: (area: number) => boolean, stop: Tear): void {
    const least = fewestOffcuts(part)
    forEachKeeping(part, stripsWithin(least), least, (first, second, across, at) => {
      const a = leastOffcuts(first)
      const b = leastOffcuts(second)
      return a + b <= least && wanted(Math.max(offcutCeiling(first), offcutCeiling(second)))
        && within(first, least - b) && within(second, least - a) && stop(first, second, across, at)
    })
  }

  /** Area of the largest single offcut of a part torn with the fewest tears. */
  function largestOffcut(part: Part): number {
    if (part.largestOffcut >= 0) return part.largestOffcut
    if (fewestOffcuts(part) <= 1) return part.largestOffcut = wasteOf(part)
    let best = 0
    forEachBest(part, area => area > best, (first, second) => {
      for (const half of [first, second]) if (offcutCeiling(half) > best) best = Math.max(best, largestOffcut(half))
      return best >= offcutCeiling(part)
    })
    return part.largestOffcut = best
  }

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

  const whole = partSized(width, height)
  const { points, tears, offcut } = deckled(whole, deckles)
  return { pieces: count(whole), cut: knife.byRow.at(-1)!, points, tears, offcut, layout: layoutOf(whole, deckles) }
}
