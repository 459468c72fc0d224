/**
 * Where a sheet may be torn along one side. Lengths are whole units of 0.1 µm. How normal widths and standings bound the
 * search, and why they are enough, stands in `lay-outs.ts`.
 */

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
