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

/** One way a piece may lie: its width along the sheet's first side, and the points it earns for each set of deckled sides. */
export interface Lie {
  width: number
  height: number
  /** Points by the bits of `deckleBits`. */
  points: readonly number[]
}

/** A lay-out as a tree: a part torn in two, a piece, or what is left over. */
export type Layout =
  | { kind: 'piece', lie: number }
  | { kind: 'offcut' }
  | { kind: 'torn', across: 'x' | 'y', at: number, first: Layout, second: Layout }

export interface Best {
  pieces: number
  points: number
  tears: number
  /** Area of the largest single offcut. */
  offcut: number
  layout: Layout
}

export const deckleBits = { left: 1, right: 2, top: 4, bottom: 8 } as const

/** Sums of the given lengths up to `most`, ascending, 0 first. */
function sums(lengths: readonly number[], most: number): number[] {
  let reached = [0]
  for (const length of new Set(lengths)) {
    if (length <= 0) continue
    const all = new Set<number>()
    for (const base of reached) for (let sum = base; sum <= most; sum += length) all.add(sum)
    reached = [...all]
  }
  return reached.sort((a, b) => a - b)
}

/** Index of the last entry not above `value`. */
function floorIndex(sorted: readonly number[], value: number): number {
  let low = 0
  let high = sorted.length - 1
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (sorted[middle]! <= value) low = middle
    else high = middle - 1
  }
  return low
}

/** What is left of a part of normal width for each normal width taken off, with a knife and torn. */
interface Rests { cut: Int32Array, torn: Int32Array }

/** Places to tear a part, and where the two parts stand in the ceilings. */
interface Places { at: Float64Array, near: Int32Array, far: Int32Array }

/** One axis: its normal widths, where tears may lie, and what was looked up before. */
class Axis {
  readonly normal: number[]
  /** True when two normal widths lie closer than a strip, so that strips may have to be spread over several parts. */
  readonly close: boolean
  private readonly indexOf: Map<number, number>
  private readonly withStrips: number[]
  private readonly placesOf = [new Map<number, Places>(), new Map<number, Places>()]
  private readonly standings = new Map<number, number>()

  constructor(lengths: readonly number[], most: number, readonly strip: number) {
    this.normal = sums(lengths, most)
    this.indexOf = new Map(this.normal.map((length, i) => [length, i]))
    this.close = this.normal.some((value, i) => i > 1 && value - this.normal[i - 1]! < strip)
    this.withStrips = this.close ? sums([...lengths, strip], most) : this.normal
  }

  isNormal(length: number): boolean {
    return this.indexOf.has(length)
  }

  /** Index of the widest normal width not above a length. */
  private floor(length: number): number {
    if (length <= 0) return 0
    return this.indexOf.get(length) ?? floorIndex(this.normal, length)
  }

  /** Where a length stands in the ceilings: its index when it is normal, else −1 − the index of the widest normal one a strip narrower. */
  standing(length: number): number {
    let known = this.standings.get(length)
    if (known === undefined) {
      known = this.indexOf.get(length) ?? -1 - this.floor(length - this.strip)
      this.standings.set(length, known)
    }
    return known
  }

  /**
   * For the part of normal width `i` with the normal width `c` torn off: where what is left stands, or 0 when it is too
   * narrow a strip.
   */
  rest(i: number, strip: number): Int32Array {
    const { normal } = this
    const length = normal[i]!
    const least = Math.max(strip, 1)
    const rest = new Int32Array(i)
    // What is left shrinks as more is torn off, so each index only ever moves down.
    let fits = i
    let narrower = i
    for (let c = 1; c < i; c++) {
      const left = length - normal[c]!
      if (left < least) break
      while (normal[fits]! > left) fits--
      while (narrower > 0 && normal[narrower]! > left - strip) narrower--
      if (normal[c]! >= least) rest[c] = normal[fits] === left || strip === 0 ? fits : -1 - narrower
    }
    return rest
  }

  /** Index of the widest normal width two strips narrower than the `i`th. */
  twoStripsNarrower(i: number): number {
    return this.floor(this.normal[i]! - 2 * this.strip)
  }

  /**
   * Places to tear a part of any length, each once: at a normal distance from either end, and, if asked for, at one
   * with strips added.
   */
  places(length: number, stripsAdded: boolean): Places {
    const kept = this.placesOf[stripsAdded ? 1 : 0]!
    let known = kept.get(length)
    if (!known) kept.set(length, known = this.findPlaces(length, stripsAdded ? this.withStrips : this.normal))
    return known
  }

  private findPlaces(length: number, distances: readonly number[]): Places {
    const { normal, strip } = this
    const least = Math.max(strip, 1)
    const at = new Float64Array(distances.length)
    const near = new Int32Array(distances.length)
    const far = new Int32Array(distances.length)
    const standingFrom = (index: number, narrower: number, value: number) => (normal[index] === value ? index : -1 - narrower)
    let found = 0
    let fits = 0
    let narrower = 0
    let fitsFar = normal.length - 1
    let narrowerFar = normal.length - 1
    let mirrored = distances.length - 1
    for (const distance of distances) {
      const left = length - distance
      if (left < least) break
      if (distance < least) continue
      while (mirrored > 0 && distances[mirrored]! > left) mirrored--
      // The same tear seen from the other end was taken already.
      if (distance > left && distances[mirrored] === left) continue
      while (fits + 1 < normal.length && normal[fits + 1]! <= distance) fits++
      while (narrower + 1 < normal.length && normal[narrower + 1]! <= distance - strip) narrower++
      while (normal[fitsFar]! > left) fitsFar--
      while (narrowerFar > 0 && normal[narrowerFar]! > left - strip) narrowerFar--
      at[found] = distance
      near[found] = standingFrom(fits, narrower, distance)
      far[found] = standingFrom(fitsFar, narrowerFar, left)
      found++
    }
    return { at: at.subarray(0, found), near: near.subarray(0, found), far: far.subarray(0, found) }
  }
}

/**
 * Ceilings for every part of normal width and height: no fewer than the most pieces it gives. With `weaker.x` waste
 * across the width must be a strip at least, and `weaker.x` are the ceilings with a knife allowed there, for the parts
 * that are not of normal width; without it a knife is allowed. Likewise down the height. With the knife on both sides
 * the ceilings are exact.
 *
 * The columns a part is torn into may be torn off in any order, so the first may be one that is not itself torn into
 * columns: `whole` lists, for each height, the widths whose ceiling only a tear the other way reaches. The lists are short,
 * which is what makes this quick.
 */
function ceilings(x: Axis, y: Axis, lies: readonly Lie[], restsX: readonly Rests[], restsY: readonly Rests[], weaker: { x: Int16Array | null, y: Int16Array | null }): Int16Array {
  const columns = x.normal.length
  const rows = y.normal.length
  const table = new Int16Array(columns * rows)
  const area = lies[0]!.width * lies[0]!.height
  const wholeColumns = Array.from({ length: rows }, (): number[] => [])
  for (let i = 1; i < columns; i++) {
    const width = x.normal[i]!
    const restX = weaker.x ? restsX[i]!.torn : restsX[i]!.cut
    const spreadX = weaker.x ? x.twoStripsNarrower(i) * rows : 0
    const wholeRows: number[] = []
    for (let j = 1; j < rows; j++) {
      const height = y.normal[j]!
      const here = i * rows + j
      if (width * height < area) continue
      const across = mostOf(table, weaker.x, wholeColumns[j]!, restX, j, rows, weaker.x ? weaker.x[spreadX + j]! : 0)
      const down = mostOf(table, weaker.y, wholeRows, weaker.y ? restsY[j]!.torn : restsY[j]!.cut, i * rows, 1, weaker.y ? weaker.y[i * rows + y.twoStripsNarrower(j)]! : 0)
      let most = Math.max(across, down)
      for (const lie of lies) if (most === 0 && (weaker.x ? lie.width === width : lie.width <= width) && (weaker.y ? lie.height === height : lie.height <= height)) most = 1
      if (weaker.x) most = Math.min(most, weaker.x[here]!)
      if (weaker.y) most = Math.min(most, weaker.y[here]!)
      table[here] = most
      if (most > across) wholeColumns[j]!.push(i)
      if (most > down) wholeRows.push(j)
    }
  }
  return table
}

/** The most of two parts, one of them of a width in `whole`. Entries of a table lie at `base + step · index`. */
function mostOf(table: Int16Array, weaker: Int16Array | null, whole: readonly number[], rest: Int32Array, base: number, step: number, from: number): number {
  let best = from
  for (let k = 0; k < whole.length; k++) {
    const off = whole[k]!
    const left = rest[off]!
    if (left === 0) continue
    const sum = table[base + step * off]! + (left > 0 ? table[base + step * left]! : weaker![base + step * (-1 - left)]!)
    if (sum > best) best = sum
  }
  return best
}

/**
 * A tear of a part: the two parts it leaves, where it lies, their ceilings, and the offcuts they leave together at
 * least. Returns true to stop.
 */
type Tear = (w1: number, h1: number, w2: number, h2: number, across: 'x' | 'y', at: number, first: number, second: number, leastOffcuts: number) => boolean

/**
 * Two parts neither of which is of normal width need strips spread over both only if each holds rows of different
 * widths, and so two offcuts at least; with fewer, one of them can be narrowed to a normal width.
 */
const spreads = (offcuts: number) => offcuts >= 4

/** One small number for a width and a height. */
class Keys {
  private readonly ids = new Map<number, number>()

  private id(length: number): number {
    let id = this.ids.get(length)
    if (id === undefined) this.ids.set(length, id = this.ids.size)
    return id
  }

  of(width: number, height: number): number {
    return this.id(width) * 46_000 + this.id(height)
  }
}

interface Rank { points: number, tears: number, offcut: number, across: 'x' | 'y' | 'piece' | 'offcut', at: number }

/** The most pieces a knife gives; strips may then be as narrow as one likes. */
export function mostWithKnife(width: number, height: number, lies: readonly Lie[]): number {
  const x = new Axis(lies.map(lie => lie.width), width, 0)
  const y = new Axis(lies.map(lie => lie.height), height, 0)
  const rests = (axis: Axis) => axis.normal.map((_, i) => ({ cut: axis.rest(i, 0), torn: axis.rest(i, 0) }))
  return ceilings(x, y, lies, rests(x), rests(y), { x: null, y: null }).at(-1)!
}

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
  const rows = y.normal.length
  const restsX = x.normal.map((_, i) => ({ cut: x.rest(i, 0), torn: x.rest(i, strip) }))
  const restsY = y.normal.map((_, i) => ({ cut: y.rest(i, 0), torn: y.rest(i, strip) }))
  const knife = ceilings(x, y, lies, restsX, restsY, { x: null, y: null })
  const tornX = strip === 0 ? knife : ceilings(x, y, lies, restsX, restsY, { x: knife, y: null })
  const tornY = strip === 0 ? knife : ceilings(x, y, lies, restsX, restsY, { x: null, y: knife })
  const torn = strip === 0 ? knife : ceilings(x, y, lies, restsX, restsY, { x: tornY, y: tornX })
  const pieceArea = lies[0]!.width * lies[0]!.height
  const keys = new Keys()
  const counts = new Map<number, number>()
  const offcuts = new Map<number, { least: number, sure: boolean }>()
  const ranks = new Map<number, Rank>()
  const deckledRanks = new Map<number, Rank>()

  /** The way a piece fills that part exactly, of two (a square) the one with more points; -1 for none. */
  const lieOf = (w: number, h: number, sides = 0) => {
    let best = -1
    for (let i = 0; i < lies.length; i++) {
      const lie = lies[i]!
      if (lie.width === w && lie.height === h && (best < 0 || lie.points[sides]! > lies[best]!.points[sides]!)) best = i
    }
    return best
  }

  /** A ceiling, by where width and height stand. */
  function ceilingAt(column: number, row: number): number {
    if (column >= 0) return row >= 0 ? torn[column * rows + row]! : tornX[column * rows - 1 - row]!
    return row >= 0 ? tornY[(-1 - column) * rows + row]! : knife[(-1 - column) * rows - 1 - row]!
  }

  /** Offcuts a part leaves at least, by where its sides stand: one in each direction that pieces do not fill. */
  const wastes = (most: number, column: number, row: number) => (most === 0 ? 1 : (column < 0 ? 1 : 0) + (row < 0 ? 1 : 0))

  const ceiling = (w: number, h: number) => ceilingAt(x.standing(w), y.standing(h))

  /** The most pieces from a part. */
  function count(w: number, h: number): number {
    const most = ceiling(w, h)
    if (strip === 0 || most === 0) return most
    const key = keys.of(w, h)
    const known = counts.get(key)
    if (known !== undefined) return known
    let best = lieOf(w, h) >= 0 ? 1 : 0
    for (const stripsAdded of [false, true]) {
      if (best >= most || (stripsAdded && !x.close && !y.close)) break
      forEachTear(w, h, stripsAdded, (w1, h1, w2, h2, _across, _at, first, second) => {
        if (first + second <= best) return false
        const near = count(w1, h1)
        if (near + second > best) best = Math.max(best, near + count(w2, h2))
        return best >= most
      })
    }
    counts.set(key, best)
    return best
  }

  /** Go through the tears of a part, with the ceilings of what they leave, until `stop` says so. */
  function forEachTear(w: number, h: number, stripsAdded: boolean, stop: Tear): boolean {
    const row = y.standing(h)
    const across = x.places(w, stripsAdded && x.close)
    for (let i = 0; i < across.at.length; i++) {
      const at = across.at[i]!
      const near = across.near[i]!
      const far = across.far[i]!
      const first = ceilingAt(near, row)
      const second = ceilingAt(far, row)
      if (stop(at, h, w - at, h, 'x', at, first, second, wastes(first, near, row) + wastes(second, far, row))) return true
    }
    const column = x.standing(w)
    const down = y.places(h, stripsAdded && y.close)
    for (let i = 0; i < down.at.length; i++) {
      const at = down.at[i]!
      const near = down.near[i]!
      const far = down.far[i]!
      const first = ceilingAt(column, near)
      const second = ceilingAt(column, far)
      if (stop(w, at, w, h - at, 'y', at, first, second, wastes(first, column, near) + wastes(second, column, far))) return true
    }
    return false
  }

  /** The tears of a part that keep all its pieces and may leave no more than so many offcuts. */
  function forEachKeeping(w: number, h: number, stripsAdded: boolean, mostOffcuts: number, stop: (w1: number, h1: number, w2: number, h2: number, across: 'x' | 'y', at: number) => boolean): boolean {
    const pieces = count(w, h)
    return forEachTear(w, h, stripsAdded, (w1, h1, w2, h2, across, at, first, second, leastOffcuts) => {
      if (first + second < pieces || leastOffcuts > mostOffcuts) return false
      if (strip > 0 && (count(w1, h1) + second < pieces || count(w1, h1) + count(w2, h2) < pieces)) return false
      return stop(w1, h1, w2, h2, across, at)
    })
  }

  /** What is known of the number of offcuts a part must leave: at least `least`, and exactly that when `sure`. */
  function offcutsOf(w: number, h: number): { least: number, sure: boolean } {
    const key = keys.of(w, h)
    let known = offcuts.get(key)
    if (!known) {
      const pieces = count(w, h)
      if (pieces === 0) known = { least: 1, sure: true }
      else if (lieOf(w, h) >= 0) known = { least: 0, sure: true }
      else known = { least: Math.max(w * h > pieces * pieceArea ? 1 : 0, (x.isNormal(w) ? 0 : 1) + (y.isNormal(h) ? 0 : 1)), sure: false }
      offcuts.set(key, known)
    }
    return known
  }

  /** True when a part can be laid out, with all its pieces, leaving no more than `most` offcuts. */
  function within(w: number, h: number, most: number): boolean {
    const known = offcutsOf(w, h)
    while (!known.sure && known.least <= most) {
      if (forEachKeeping(w, h, spreads(known.least), known.least, (w1, h1, w2, h2) => {
        const a = offcutsOf(w1, h1)
        const b = offcutsOf(w2, h2)
        return a.least + b.least <= known.least && within(w1, h1, known.least - b.least) && within(w2, h2, known.least - a.least)
      })) known.sure = true
      else known.least += 1
    }
    return known.least <= most
  }

  /** The fewest offcuts, exactly. */
  function fewestOffcuts(w: number, h: number): number {
    within(w, h, Infinity)
    return offcutsOf(w, h).least
  }

  /** Fewest tears, then the largest offcut, of a part where no deckle is wanted. */
  function rank(w: number, h: number): Rank {
    const pieces = count(w, h)
    if (pieces === 0) return { points: 0, tears: 0, offcut: w * h, across: 'offcut', at: 0 }
    const lie = lieOf(w, h)
    if (lie >= 0) return { points: lies[lie]!.points[0]!, tears: 0, offcut: 0, across: 'piece', at: lie }
    const key = keys.of(w, h)
    const known = ranks.get(key)
    if (known) return known
    const least = fewestOffcuts(w, h)
    const found: Rank = { points: 0, tears: pieces + least - 1, offcut: -1, across: 'x', at: 0 }
    const all = w * h - pieces * pieceArea
    forEachKeeping(w, h, spreads(least), least, (w1, h1, w2, h2, across, at) => {
      const a = offcutsOf(w1, h1)
      const b = offcutsOf(w2, h2)
      if (a.least + b.least > least || Math.max(w1 * h1 - count(w1, h1) * pieceArea, w2 * h2 - count(w2, h2) * pieceArea) <= found.offcut) return false
      if (!within(w1, h1, least - b.least) || !within(w2, h2, least - a.least)) return false
      const offcut = Math.max(rank(w1, h1).offcut, rank(w2, h2).offcut)
      if (offcut > found.offcut) Object.assign(found, { offcut, across, at })
      return found.offcut === all
    })
    ranks.set(key, found)
    return found
  }

  const shortest = Math.min(...lies.map(lie => Math.min(lie.width, lie.height)))

  /** No part earns more points than it has pieces along its deckled sides. */
  function pointsCeiling(w: number, h: number, sides: number): number {
    const along = (bit: number, length: number) => ((sides & bit) === 0 ? 0 : Math.floor(length / shortest))
    return along(deckleBits.left, h) + along(deckleBits.right, h) + along(deckleBits.top, w) + along(deckleBits.bottom, w)
  }

  /** Most points, then fewest tears, then the largest offcut, of a part with the given deckled sides. */
  function deckled(w: number, h: number, sides: number): Rank {
    const pieces = count(w, h)
    if (sides === 0 || pieces === 0) return rank(w, h)
    const lie = lieOf(w, h, sides)
    if (lie >= 0) return { points: lies[lie]!.points[sides]!, tears: 0, offcut: 0, across: 'piece', at: lie }
    const key = keys.of(w, h) * 16 + sides
    const known = deckledRanks.get(key)
    if (known) return known
    const found: Rank = { points: -1, tears: Infinity, offcut: -1, across: 'x', at: 0 }
    const consider = (across: 'x' | 'y', at: number) => {
      const [w1, h1, w2, h2] = across === 'x' ? [at, h, w - at, h] : [w, at, w, h - at]
      const [sides1, sides2] = across === 'x' ? [sides & ~deckleBits.right, sides & ~deckleBits.left] : [sides & ~deckleBits.bottom, sides & ~deckleBits.top]
      const reach = pointsCeiling(w1, h1, sides1) + pointsCeiling(w2, h2, sides2)
      if (reach < found.points || (reach === found.points && pieces + offcutsOf(w1, h1).least + offcutsOf(w2, h2).least - 1 > found.tears)) return
      const a = deckled(w1, h1, sides1)
      const b = deckled(w2, h2, sides2)
      const points = a.points + b.points
      const tears = a.tears + b.tears + 1
      const offcut = Math.max(a.offcut, b.offcut)
      if (points > found.points || (points === found.points && (tears < found.tears || (tears === found.tears && offcut > found.offcut)))) Object.assign(found, { points, tears, offcut, across, at })
    }
    forEachKeeping(w, h, true, Infinity, (w1, h1, w2, h2, across, at) => {
      consider(across, at)
      consider(across, across === 'x' ? w2 : h2)
      return false
    })
    deckledRanks.set(key, found)
    return found
  }

  function layoutOf(w: number, h: number, sides: number): Layout {
    const { across, at } = deckled(w, h, sides)
    if (across === 'piece') return { kind: 'piece', lie: at }
    if (across === 'offcut') return { kind: 'offcut' }
    return across === 'x'
      ? { kind: 'torn', across, at, first: layoutOf(at, h, sides & ~deckleBits.right), second: layoutOf(w - at, h, sides & ~deckleBits.left) }
      : { kind: 'torn', across, at, first: layoutOf(w, at, sides & ~deckleBits.bottom), second: layoutOf(w, h - at, sides & ~deckleBits.top) }
  }

  const { points, tears, offcut } = deckled(width, height, deckles)
  return { pieces: count(width, height), points, tears, offcut, layout: layoutOf(width, height, deckles) }
}
