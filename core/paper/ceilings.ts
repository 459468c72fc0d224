/**
 * Where a sheet may be torn, and no fewer than the most pieces any part of it gives. Lengths are whole units of 0.1 µm.
 * How these bound the search, and why they are enough, stands in `guillotine.ts`.
 */

export const deckleBits = { left: 1, right: 2, top: 4, bottom: 8 } as const

/** One way a piece may lie: its width along the sheet's first side, and the points it earns for each set of deckled sides. */
export interface Lie {
  width: number
  height: number
  /** Points by the bits of `deckleBits`. */
  points: readonly number[]
}

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
export interface Rests {
  cut: Int32Array
  torn: Int32Array
}

/** Places to tear a part, and where the two parts stand in the ceilings. */
interface Places {
  at: Float64Array
  near: Int32Array
  far: Int32Array
}

/** Strips of waste that may be added to a normal distance; `spread` are those of `any` that leave neither part normal. */
export type StripsAdded = 'none' | 'one' | 'any' | 'spread'

/** One axis: its normal widths, where tears may lie, and what was looked up before. */
export class Axis {
  readonly normal: number[]
  /** True when two normal widths lie closer than a strip, so that strips may have to be spread over several parts. */
  readonly close: boolean
  private readonly indexOf: Map<number, number>
  /** For each normal width the index of the widest one two strips narrower. */
  readonly twoStripsNarrower: Int32Array
  private readonly distances = new Map<StripsAdded, number[]>()
  private readonly ids = new Map<number, number>()
  private readonly placesOf = {
    none: new Map<number, Places>(),
    one: new Map<number, Places>(),
    any: new Map<number, Places>(),
    spread: new Map<number, Places>(),
  }
  private readonly standings = new Map<number, number>()

  constructor(
    private readonly lengths: readonly number[],
    private readonly most: number,
    readonly strip: number,
  ) {
    this.normal = sums(lengths, most)
    this.indexOf = new Map(this.normal.map((length, i) => [length, i]))
    this.twoStripsNarrower = Int32Array.from(this.normal, (length) => this.floor(length - 2 * strip))
    this.close = this.normal.some((value, i) => i > 1 && value - this.normal[i - 1]! < strip)
  }

  isNormal(length: number): boolean {
    return this.indexOf.has(length)
  }

  /** Where two parts of that length together stand at most, neither of them of normal width: both lose a strip. */
  standingOfTwo(length: number): number {
    return -1 - this.floor(length - 2 * this.strip)
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

  /** A small number for a length that stands there: its index when it is normal. */
  id(length: number, standing: number): number {
    if (standing >= 0) return standing
    let id = this.ids.get(length)
    if (id === undefined) this.ids.set(length, (id = this.normal.length + this.ids.size))
    return id
  }

  /** The narrowest length that stands there and is not normal. */
  narrowest(standing: number): number {
    let length = this.normal[-1 - standing]! + this.strip
    while (this.indexOf.has(length)) length += 1
    return length
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
      // Of two parts cut with a knife the narrower is taken off.
      if (strip === 0 && fits < c) break
      if (normal[c]! >= least) rest[c] = normal[fits] === left || strip === 0 ? fits : -1 - narrower
    }
    return rest
  }

  /**
   * Places to tear a part of any length, each once: at a normal distance from either end, and, if asked for, at one
   * with strips added.
   */
  places(length: number, stripsAdded: StripsAdded): Places {
    const kept = this.placesOf[stripsAdded]
    let known = kept.get(length)
    if (!known)
      kept.set(
        length,
        (known =
          stripsAdded === 'none'
            ? this.normalPlaces(length)
            : this.placesWithStrips(
                length,
                this.distancesWith(stripsAdded === 'one' ? 'one' : 'any'),
                stripsAdded === 'spread',
              )),
      )
    return known
  }

  private normalPlaces(length: number): Places {
    const { normal, strip } = this
    const least = Math.max(strip, 1)
    const at = new Float64Array(normal.length)
    const near = new Int32Array(normal.length)
    const far = new Int32Array(normal.length)
    let found = 0
    let fits = normal.length - 1
    let narrower = fits
    for (let c = 1; c < normal.length; c++) {
      const distance = normal[c]!
      const left = length - distance
      if (left < least) break
      if (distance < least) continue
      while (normal[fits]! > left) fits--
      const exact = normal[fits] === left
      // The same tear seen from the other end was taken already.
      if (exact && distance > left) continue
      while (narrower > 0 && normal[narrower]! > left - strip) narrower--
      at[found] = distance
      near[found] = c
      far[found] = exact ? fits : -1 - narrower
      found++
    }
    return { at: at.subarray(0, found), near: near.subarray(0, found), far: far.subarray(0, found) }
  }

  private distancesWith(strips: 'one' | 'any'): number[] {
    let known = this.distances.get(strips)
    if (!known) {
      const { normal, lengths, most, strip } = this
      known =
        strips === 'any'
          ? sums([...lengths, strip], most)
          : [...new Set([...normal, ...normal.map((length) => length + strip)])].sort((a, b) => a - b)
      this.distances.set(strips, known)
    }
    return known
  }

  private placesWithStrips(length: number, distances: readonly number[], spread: boolean): Places {
    const { normal, strip } = this
    const least = Math.max(strip, 1)
    const at = new Float64Array(distances.length)
    const near = new Int32Array(distances.length)
    const far = new Int32Array(distances.length)
    const standingFrom = (index: number, narrower: number, value: number) =>
      normal[index] === value ? index : -1 - narrower
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
      const standing = standingFrom(fits, narrower, distance)
      const standingFar = standingFrom(fitsFar, narrowerFar, left)
      if (spread && (standing >= 0 || standingFar >= 0)) continue
      at[found] = distance
      near[found] = standing
      far[found] = standingFar
      found++
    }
    return { at: at.subarray(0, found), near: near.subarray(0, found), far: far.subarray(0, found) }
  }
}

/** No fewer than the most pieces of each part, by the indices of its width and height; kept both ways, as each is read along. */
export interface Ceilings {
  byColumn: Int16Array
  byRow: Int16Array
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
export function ceilings(
  x: Axis,
  y: Axis,
  lies: readonly Lie[],
  restsX: readonly Rests[],
  restsY: readonly Rests[],
  weaker: { x: Ceilings | null; y: Ceilings | null },
): Ceilings {
  const columns = x.normal.length
  const rows = y.normal.length
  const byColumn = new Int16Array(columns * rows)
  const byRow = new Int16Array(columns * rows)
  const area = lies[0]!.width * lies[0]!.height
  const wholeColumns = Array.from({ length: rows }, (): number[] => [])
  const one = (width: number, height: number) =>
    lies.some(
      (lie) =>
        (weaker.x ? lie.width === width : lie.width <= width) &&
        (weaker.y ? lie.height === height : lie.height <= height),
    )
  for (let i = 1; i < columns; i++) {
    const width = x.normal[i]!
    const restX = weaker.x ? restsX[i]!.torn : restsX[i]!.cut
    const narrowerX = weaker.x ? x.twoStripsNarrower[i]! : i - 1
    const wholeRows: number[] = []
    for (let j = 1; j < rows; j++) {
      const most = Math.floor((width * y.normal[j]!) / area)
      if (most === 0) continue
      const here = i * rows + j
      const capX = weaker.x ? Math.min(most, weaker.x.byColumn[here]!) : most
      const cap = weaker.y ? Math.min(capX, weaker.y.byColumn[here]!) : capX
      const across = weaker.x
        ? mostTorn(byRow, weaker.x.byRow, wholeColumns[j]!, restX, j * columns, narrowerX, cap)
        : mostCut(byRow, wholeColumns[j]!, restX, j * columns, narrowerX, cap)
      const down = weaker.y
        ? mostTorn(byColumn, weaker.y.byColumn, wholeRows, restsY[j]!.torn, i * rows, y.twoStripsNarrower[j]!, cap)
        : mostCut(byColumn, wholeRows, restsY[j]!.cut, i * rows, j - 1, cap)
      const best = Math.min(cap, across > down ? across : down) || (one(width, y.normal[j]!) ? 1 : 0)
      byColumn[here] = best
      byRow[j * columns + i] = best
      if (best > across) wholeColumns[j]!.push(i)
      if (best > down) wholeRows.push(j)
    }
  }
  return { byColumn, byRow }
}

/**
 * The most of two parts cut with a knife, one of them of a width in `whole` and no wider than the other, or of the next
 * `narrower` part. Entries of the table lie at `base + index`; nothing gives more than `cap`.
 */
function mostCut(
  table: Int16Array,
  whole: readonly number[],
  rest: Int32Array,
  base: number,
  narrower: number,
  cap: number,
): number {
  let best = table[base + narrower]!
  for (let k = 0; k < whole.length && best < cap; k++) {
    const off = whole[k]!
    const left = rest[off]!
    if (left < off) break
    const sum = table[base + off]! + table[base + left]!
    if (sum > best) best = sum
  }
  return best
}

/**
 * The most of two parts torn, one of them of a width in `whole`, or of two that are not of normal width and so two strips
 * `narrower` together; `weaker` is for what is left and not of normal width.
 */
function mostTorn(
  table: Int16Array,
  weaker: Int16Array,
  whole: readonly number[],
  rest: Int32Array,
  base: number,
  narrower: number,
  cap: number,
): number {
  let best = weaker[base + narrower]!
  for (let k = 0; k < whole.length && best < cap; k++) {
    const off = whole[k]!
    const left = rest[off]!
    if (left === 0) continue
    const sum = table[base + off]! + (left > 0 ? table[base + left]! : weaker[base - 1 - left]!)
    if (sum > best) best = sum
  }
  return best
}
