import { Axis, ceilings, type Lie, type StripsAdded } from './ceilings'

/** More different lengths than any search meets; keeps the key of a part a small whole number. */
const mostLengths = 46_000

/**
 * One part of the sheet: its sides, where they stand in the ceilings, and what the search has found out about it.
 * Unknown numbers are −1.
 */
export interface Part {
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
  known: { largeEnough: number[]; tooSmall: number[] } | null
  largestOffcut: number
  /** By the bits of its deckled sides. */
  deckled: (Deckled | undefined)[] | null
}

/** What the search has found out about a part with deckled sides, as above. */
export interface Deckled extends Pick<Part, 'leastOffcuts' | 'sure' | 'known' | 'largestOffcut'> {
  points: number
  /** Of the smallest of parts alike: larger ones of as many pieces, and the points they earn, which no part between exceeds. */
  larger: { width: number; height: number; points: number }[]
}

/** What a tear leaves, and where it lies. Returns true to stop. */
export type Tear = (first: Part, second: Part, across: 'x' | 'y', at: number) => boolean

/** Whether a tear is worth looking at, by where the two parts it leaves stand. */
export type MayTear = (across: 'x' | 'y', near: number, far: number) => boolean

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
  /** Tears looked at so far, some eight for each of the ceilings: a measure of the work that does not hang on the machine. */
  const looked = { tears: 8 * columns * rows }

  /** Ceilings by where width and height stand: of normal ones or not. */
  const across = (row: number) =>
    row >= 0
      ? { normal: torn.byRow, other: tornY.byRow, base: row * columns }
      : { normal: tornX.byRow, other: knife.byRow, base: (-1 - row) * columns }
  const down = (column: number) =>
    column >= 0
      ? { normal: torn.byColumn, other: tornX.byColumn, base: column * rows }
      : { normal: tornY.byColumn, other: knife.byColumn, base: (-1 - column) * rows }

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
    const part: Part = {
      width,
      height,
      column,
      row,
      widthId,
      heightId,
      most,
      alike: null,
      pieces: strip === 0 || most === 0 ? most : -1,
      leastOffcuts: -1,
      sure: false,
      known: null,
      largestOffcut: -1,
      deckled: null,
    }
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
    return (part.alike = partOf(
      width,
      height,
      column,
      row,
      column < 0 ? x.id(width, column) : widthId,
      row < 0 ? y.id(height, row) : heightId,
    ))
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

  /** Offcuts a part leaves at least, by where its sides stand: one in each direction that pieces do not fill. */
  const wastes = (most: number, column: number, row: number) =>
    most === 0 ? 1 : (column < 0 ? 1 : 0) + (row < 0 ? 1 : 0)

  /**
   * Go through the tears of a part that may give so many pieces and leave no more than so many offcuts, until `stop` says so.
   * @param may asked where the halves stand, when both must give all the pieces their ceilings promise
   */
  function forEachTear(
    part: Part,
    stripsAdded: StripsAdded,
    pieces: number,
    mostOffcuts: number,
    stop: Tear,
    may?: MayTear,
  ): boolean {
    const { width, height, column, row, widthId, heightId } = part
    const columnsOf = across(row)
    const tearsX = x.places(width, x.close ? stripsAdded : 'none')
    const tearsY = y.places(height, y.close ? stripsAdded : 'none')
    looked.tears += tearsX.at.length + tearsY.at.length
    for (let i = 0; i < tearsX.at.length; i++) {
      const near = tearsX.near[i]!
      const far = tearsX.far[i]!
      const first = near >= 0 ? columnsOf.normal[columnsOf.base + near]! : columnsOf.other[columnsOf.base - 1 - near]!
      const second = far >= 0 ? columnsOf.normal[columnsOf.base + far]! : columnsOf.other[columnsOf.base - 1 - far]!
      if (first + second < pieces || wastes(first, near, row) + wastes(second, far, row) > mostOffcuts) continue
      if (may && first + second === pieces && !may('x', near, far)) continue
      const at = tearsX.at[i]!
      if (
        stop(
          partOf(at, height, near, row, x.id(at, near), heightId),
          partOf(width - at, height, far, row, x.id(width - at, far), heightId),
          'x',
          at,
        )
      )
        return true
    }
    const rowsOf = down(column)
    for (let i = 0; i < tearsY.at.length; i++) {
      const near = tearsY.near[i]!
      const far = tearsY.far[i]!
      const first = near >= 0 ? rowsOf.normal[rowsOf.base + near]! : rowsOf.other[rowsOf.base - 1 - near]!
      const second = far >= 0 ? rowsOf.normal[rowsOf.base + far]! : rowsOf.other[rowsOf.base - 1 - far]!
      if (first + second < pieces || wastes(first, column, near) + wastes(second, column, far) > mostOffcuts) continue
      if (may && first + second === pieces && !may('y', near, far)) continue
      const at = tearsY.at[i]!
      if (
        stop(
          partOf(width, at, column, near, widthId, y.id(at, near)),
          partOf(width, height - at, column, far, widthId, y.id(height - at, far)),
          'y',
          at,
        )
      )
        return true
    }
    return false
  }

  /**
   * The most pieces from a part. Parts whose sides stand alike share a ceiling, and of those a larger one gives no
   * less: when the smallest reaches the ceiling, all do.
   */
  function count(part: Part): number {
    if (part.pieces < 0)
      part.pieces = alike(part) !== part && count(alike(part)) === part.most ? part.most : tried(part)
    return part.pieces
  }

  /** The most pieces from a part, by trying its tears; those that may reach the ceiling first. */
  function tried(part: Part): number {
    let best = lieOf(part) >= 0 ? 1 : 0
    for (const wanted of [part.most, 1]) {
      for (const stripsAdded of ['none', 'spread'] as const) {
        if (best >= part.most || (stripsAdded === 'spread' && !x.close && !y.close)) break
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
  function forEachKeeping(
    part: Part,
    stripsAdded: StripsAdded,
    mostOffcuts: number,
    stop: Tear,
    may?: MayTear,
  ): boolean {
    const pieces = count(part)
    return forEachTear(
      part,
      stripsAdded,
      pieces,
      mostOffcuts,
      (first, second, across, at) =>
        count(first) + second.most >= pieces &&
        count(first) + count(second) >= pieces &&
        stop(first, second, across, at),
      may,
    )
  }

  return {
    x,
    y,
    across,
    down,
    ceilingAt,
    looked,
    whole: partSized(width, height),
    pieceArea,
    partSized,
    alike,
    lieOf,
    wastes,
    count,
    forEachKeeping,
    isNormal: (w: number, h: number) => x.isNormal(w) && y.isNormal(h),
    widths: x.normal,
    cut: knife.byRow.at(-1)!,
  }
}
