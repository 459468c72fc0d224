import type { Axis, StripsAdded } from './axis'
import { type Bounds, boundsOf, held, kept, keptBy, type Lie } from './ceilings'

/** More different lengths than any search meets; keeps the key of a part a small whole number. */
const mostLengths = 46_000

/** One part of the sheet: its sides, where they stand in the ceilings, and the pieces it gives. */
export interface Part {
  readonly width: number
  readonly height: number
  readonly column: number
  readonly row: number
  readonly widthId: number
  readonly heightId: number
  /** No fewer than the most pieces it gives. */
  readonly most: number
  /** The most pieces it gives; −1 while that is not known. */
  pieces: number
}

/** Along which side a part is torn: `x` from top to bottom of it, at a distance across; `y` from left to right. */
export type Across = 'x' | 'y'

/** A tear across a part, by where the two parts it leaves stand and where it lies. */
export interface Tear {
  near: number
  far: number
  at: number
}

/** The parts a sheet can be torn into, each made once, with their counts found as they are asked for. */
export class Parts {
  readonly bounds: Bounds
  readonly x: Axis
  readonly y: Axis
  readonly pieceArea: number
  private readonly normalParts: (Part | undefined)[]
  private readonly otherParts = new Map<number, Part>()

  /** @param lies the ways a piece may lie, @param strip the narrowest strip that can be torn; lengths in units of 0.1 µm */
  constructor(
    readonly lies: readonly Lie[],
    private readonly strip: number,
    private readonly sheet: { width: number; height: number },
  ) {
    this.bounds = boundsOf(sheet.width, sheet.height, lies, strip)
    this.x = this.bounds.x
    this.y = this.bounds.y
    this.pieceArea = lies[0]!.width * lies[0]!.height
    this.normalParts = new Array<Part | undefined>(this.x.normal.length * this.y.normal.length)
  }

  /** The whole sheet. */
  whole(): Part {
    return this.sized(this.sheet.width, this.sheet.height)
  }

  /** The part of that size. */
  sized(width: number, height: number): Part {
    const { x, y } = this
    const column = x.standing(width)
    const row = y.standing(height)
    return this.of(width, height, column, row, x.id(width, column), y.id(height, row))
  }

  private of(width: number, height: number, column: number, row: number, widthId: number, heightId: number): Part {
    const normal = column >= 0 && row >= 0
    const rows = this.y.normal.length
    const key = normal ? column * rows + row : widthId * mostLengths + heightId
    const known = normal ? this.normalParts[key] : this.otherParts.get(key)
    if (known) return known
    const most = this.bounds.pieces[keptBy(column, row)]!.byColumn[held(column) * rows + held(row)]!
    const pieces = this.strip === 0 || most === 0 ? most : -1
    const part: Part = { width, height, column, row, widthId, heightId, most, pieces }
    if (normal) this.normalParts[key] = part
    else this.otherParts.set(key, part)
    return part
  }

  /** The way a piece fills that part exactly, of two (a square) the one with more points; -1 for none. */
  lieOf({ width, height }: Part, sides = 0): number {
    const { lies } = this
    let best = -1
    for (let i = 0; i < lies.length; i++) {
      const lie = lies[i]!
      if (lie.width === width && lie.height === height && (best < 0 || lie.points[sides]! > lies[best]!.points[sides]!))
        best = i
    }
    return best
  }

  /** The two parts that a tear leaves, the near one first. */
  halves({ width, height, column, row, widthId, heightId }: Part, across: Across, tear: Tear): [Part, Part] {
    const { x, y } = this
    const { near, far, at } = tear
    if (across === 'x')
      return [
        this.of(at, height, near, row, x.id(at, near), heightId),
        this.of(width - at, height, far, row, x.id(width - at, far), heightId),
      ]
    return [
      this.of(width, at, column, near, widthId, y.id(at, near)),
      this.of(width, height - at, column, far, widthId, y.id(height - at, far)),
    ]
  }

  /**
   * Go through the tears across a part that may give so many pieces, until `stop` says so.
   * @param strips strips of waste added to normal distances
   */
  eachTear(part: Part, across: Across, strips: StripsAdded, pieces: number, stop: (tear: Tear) => boolean): boolean {
    const isX = across === 'x'
    const axis = isX ? this.x : this.y
    const { at, near, far } = axis.places(isX ? part.width : part.height, axis.close ? strips : 'none')
    const { normal, other, base } = isX ? this.alongRow(part.row) : this.alongColumn(part.column)
    const ceiling = (standing: number) => (standing >= 0 ? normal[base + standing]! : other[base - 1 - standing]!)
    for (let i = 0; i < at.length; i++) {
      if (ceiling(near[i]!) + ceiling(far[i]!) < pieces) continue
      if (stop({ near: near[i]!, far: far[i]!, at: at[i]! })) return true
    }
    return false
  }

  /** Ceilings along a row of parts, by where their widths stand; of normal ones and of others. */
  private alongRow(row: number) {
    const { pieces, x } = this.bounds
    const down = keptBy(-1, row)
    return { normal: pieces[down | kept.across]!.byRow, other: pieces[down]!.byRow, base: held(row) * x.normal.length }
  }

  private alongColumn(column: number) {
    const { pieces, y } = this.bounds
    const across = keptBy(column, -1)
    const base = held(column) * y.normal.length
    return { normal: pieces[across | kept.down]!.byColumn, other: pieces[across]!.byColumn, base }
  }

  /**
   * The most pieces from a part. Parts whose sides stand alike share a ceiling, and of those a larger one gives no
   * less: when the smallest reaches the ceiling, all do.
   */
  count(part: Part): number {
    if (part.pieces >= 0) return part.pieces
    const smallest = this.smallestLike(part)
    return (part.pieces = smallest !== part && this.count(smallest) === part.most ? part.most : this.tried(part))
  }

  /** The smallest part whose sides stand where this one's do. */
  private smallestLike({ width, height, column, row }: Part): Part {
    return this.sized(column < 0 ? this.x.narrowest(column) : width, row < 0 ? this.y.narrowest(row) : height)
  }

  /** The most pieces from a part, by trying its tears; those that may reach the ceiling first. */
  private tried(part: Part): number {
    let best = this.lieOf(part) >= 0 ? 1 : 0
    const better = (across: Across) => (tear: Tear) => {
      const [first, second] = this.halves(part, across, tear)
      if (first.most + second.most <= best) return false
      if (this.count(first) + second.most > best) best = Math.max(best, this.count(first) + this.count(second))
      return best >= part.most
    }
    for (const wanted of [part.most, 1]) {
      for (const strips of ['none', 'spread'] as const) {
        if (best >= part.most || (strips === 'spread' && !this.x.close && !this.y.close)) break
        if (!this.eachTear(part, 'x', strips, wanted, better('x')))
          this.eachTear(part, 'y', strips, wanted, better('y'))
      }
    }
    return best
  }
}
