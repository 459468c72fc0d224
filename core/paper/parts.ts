import { Axis, type StripsAdded } from './axis'
import { ceilings, type Lie } from './ceilings'

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

/** The parts a sheet can be torn into, and the most pieces each gives. */
export type Parts = ReturnType<typeof partsOf>

/**
 * Parts of a sheet, each made once, with their counts found as they are asked for.
 * @param lies the ways a piece may lie, @param strip the narrowest strip that can be torn; lengths in units of 0.1 µm
 */
export function partsOf(width: number, height: number, lies: readonly Lie[], strip: number) {
  const x = new Axis(
    lies.map((lie) => lie.width),
    width,
    strip,
  )
  const y = new Axis(
    lies.map((lie) => lie.height),
    height,
    strip,
  )
  const columns = x.normal.length
  const rows = y.normal.length
  const restsX = x.normal.map((_, i) => ({ cut: x.rest(i, 0), torn: x.rest(i, strip) }))
  const restsY = y.normal.map((_, i) => ({ cut: y.rest(i, 0), torn: y.rest(i, strip) }))
  const knife = ceilings(x, y, lies, restsX, restsY, { x: null, y: null })
  const tornX = strip === 0 ? knife : ceilings(x, y, lies, restsX, restsY, { x: knife, y: null })
  const tornY = strip === 0 ? knife : ceilings(x, y, lies, restsX, restsY, { x: null, y: knife })
  const torn = strip === 0 ? knife : ceilings(x, y, lies, restsX, restsY, { x: tornY, y: tornX })
  const pieceArea = lies[0]!.width * lies[0]!.height
  const normalParts = new Array<Part | undefined>(columns * rows)
  const otherParts = new Map<number, Part>()
  /** Ceilings along a row of parts, by where their widths stand; of normal ones and of others. */
  const alongRow = (row: number) =>
    row >= 0
      ? { normal: torn.byRow, other: tornY.byRow, base: row * columns }
      : { normal: tornX.byRow, other: knife.byRow, base: (-1 - row) * columns }
  const alongColumn = (column: number) =>
    column >= 0
      ? { normal: torn.byColumn, other: tornX.byColumn, base: column * rows }
      : { normal: tornY.byColumn, other: knife.byColumn, base: (-1 - column) * rows }

  /** Each part is made once. */
  function partOf(width: number, height: number, column: number, row: number, widthId: number, heightId: number): Part {
    const normal = column >= 0 && row >= 0
    const key = normal ? column * rows + row : widthId * mostLengths + heightId
    const known = normal ? normalParts[key] : otherParts.get(key)
    if (known) return known
    const { normal: ofNormal, other, base } = alongRow(row)
    const most = column >= 0 ? ofNormal[base + column]! : other[base - 1 - column]!
    const pieces = strip === 0 || most === 0 ? most : -1
    const part: Part = { width, height, column, row, widthId, heightId, most, pieces }
    if (normal) normalParts[key] = part
    else otherParts.set(key, part)
    return part
  }

  function partSized(width: number, height: number): Part {
    const column = x.standing(width)
    const row = y.standing(height)
    return partOf(width, height, column, row, x.id(width, column), y.id(height, row))
  }

  /** The smallest part whose sides stand where this one's do. */
  function smallestLike({ width, height, column, row }: Part): Part {
    return partSized(column < 0 ? x.narrowest(column) : width, row < 0 ? y.narrowest(row) : height)
  }

  /** The way a piece fills that part exactly, of two (a square) the one with more points; -1 for none. */
  function lieOf({ width, height }: Part, sides = 0): number {
    let best = -1
    for (let i = 0; i < lies.length; i++) {
      const lie = lies[i]!
      if (lie.width === width && lie.height === height && (best < 0 || lie.points[sides]! > lies[best]!.points[sides]!))
        best = i
    }
    return best
  }

  /** The two parts that a tear leaves, the near one first. */
  function halves({ width, height, column, row, widthId, heightId }: Part, across: Across, tear: Tear): [Part, Part] {
    const { near, far, at } = tear
    if (across === 'x')
      return [
        partOf(at, height, near, row, x.id(at, near), heightId),
        partOf(width - at, height, far, row, x.id(width - at, far), heightId),
      ]
    return [
      partOf(width, at, column, near, widthId, y.id(at, near)),
      partOf(width, height - at, column, far, widthId, y.id(height - at, far)),
    ]
  }

  /**
   * Go through the tears across a part that may give so many pieces, until `stop` says so.
   * @param strips strips of waste added to normal distances
   */
  function eachTear(part: Part, across: Across, strips: StripsAdded, pieces: number, stop: (tear: Tear) => boolean) {
    const isX = across === 'x'
    const axis = isX ? x : y
    const { at, near, far } = axis.places(isX ? part.width : part.height, axis.close ? strips : 'none')
    const { normal, other, base } = isX ? alongRow(part.row) : alongColumn(part.column)
    const ceiling = (standing: number) => (standing >= 0 ? normal[base + standing]! : other[base - 1 - standing]!)
    for (let i = 0; i < at.length; i++) {
      if (ceiling(near[i]!) + ceiling(far[i]!) < pieces) continue
      if (stop({ near: near[i]!, far: far[i]!, at: at[i]! })) return true
    }
    return false
  }

  /**
   * The most pieces from a part. Parts whose sides stand alike share a ceiling, and of those a larger one gives no
   * less: when the smallest reaches the ceiling, all do.
   */
  function count(part: Part): number {
    if (part.pieces >= 0) return part.pieces
    const smallest = smallestLike(part)
    return (part.pieces = smallest !== part && count(smallest) === part.most ? part.most : tried(part))
  }

  /** The most pieces from a part, by trying its tears; those that may reach the ceiling first. */
  function tried(part: Part): number {
    let best = lieOf(part) >= 0 ? 1 : 0
    const better = (across: Across) => (tear: Tear) => {
      const [first, second] = halves(part, across, tear)
      if (first.most + second.most <= best) return false
      if (count(first) + second.most > best) best = Math.max(best, count(first) + count(second))
      return best >= part.most
    }
    for (const wanted of [part.most, 1]) {
      for (const strips of ['none', 'spread'] as const) {
        if (best >= part.most || (strips === 'spread' && !x.close && !y.close)) break
        if (!eachTear(part, 'x', strips, wanted, better('x'))) eachTear(part, 'y', strips, wanted, better('y'))
      }
    }
    return best
  }

  return { x, y, knife, whole: partSized(width, height), pieceArea, partSized, lieOf, halves, eachTear, count }
}
