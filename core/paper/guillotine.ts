import { Axis, ceilings, type Lie } from './ceilings'

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

export const deckleBits = { left: 1, right: 2, top: 4, bottom: 8 } as const

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
  const pieceArea = lies[0]!.width * lies[0]!.height
  const keys = new Keys()
  const counts = new Map<number, number>()
  /** By where width and height stand: 1 when every such part reaches its ceiling, 2 when the smallest does not. */
  const reached = new Uint8Array(4 * columns * rows)
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

  /**
   * The most pieces from a part. Parts whose sides stand alike share a ceiling, and of those a larger one gives no
   * less: when the smallest reaches the ceiling, all do.
   */
  function count(w: number, h: number, column = x.standing(w), row = y.standing(h)): number {
    const most = ceilingAt(column, row)
    if (strip === 0 || most === 0) return most
    const cell = (column < 0 ? columns - 1 - column : column) * 2 * rows + (row < 0 ? rows - 1 - row : row)
    if (reached[cell] === 1) return most
    const smallW = column < 0 ? x.narrowest(column) : w
    const smallH = row < 0 ? y.narrowest(row) : h
    if (reached[cell] === 0) {
      reached[cell] = countOf(smallW, smallH, column, row, most) === most ? 1 : 2
      if (reached[cell] === 1) return most
    }
    return countOf(w, h, column, row, most)
  }

  /** The most pieces from a part of exactly that size. */
  function countOf(w: number, h: number, column: number, row: number, most: number): number {
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
  return { pieces: count(width, height), cut: knife.at(-1)!, points, tears, offcut, layout: layoutOf(width, height, deckles) }
}
