import { Axis, type Rests } from './axis'

/**
 * No fewer than the most pieces any part of a sheet gives. Lengths are whole units of 0.1 µm. How these bound the search,
 * and why they are enough, stands in `lay-outs.ts`.
 */

export const deckleBits = { left: 1, right: 2, top: 4, bottom: 8 } as const

/** One way a piece may lie: its width along the sheet's first side, and the points it earns for each set of deckled sides. */
export interface Lie {
  width: number
  height: number
  /** Points by the bits of `deckleBits`. */
  points: readonly number[]
}

/** No fewer than the most pieces of each part, by the indices of its width and height; kept both ways, as each is read along. */
export interface Ceilings {
  byColumn: Int16Array
  byRow: Int16Array
}

/** Along which sides waste must be a strip at least, as bits: a part of normal width must keep to it across, of normal height down. */
export const kept = { across: 1, down: 2 } as const

/** A part's strips to keep to, by where its width and height stand. */
export const keptBy = (column: number, row: number): number =>
  (column >= 0 ? kept.across : 0) | (row >= 0 ? kept.down : 0)

/** Index of the widest normal length that one standing there is sure to hold. */
export const held = (standing: number): number => (standing < 0 ? -1 - standing : standing)

/** What bounds every part of a sheet: the lengths along its sides, and its ceilings by the bits of `kept`. */
export interface Bounds {
  x: Axis
  y: Axis
  restsX: Rests[]
  restsY: Rests[]
  pieces: readonly [knife: Ceilings, across: Ceilings, down: Ceilings, both: Ceilings]
}

/** The bounds of a sheet torn with that narrowest strip, 0 for a knife. */
export function boundsOf(width: number, height: number, lies: readonly Lie[], strip: number): Bounds {
  const axis = (lengths: number[], most: number) => new Axis(lengths, most, strip)
  const x = axis(
    lies.map((lie) => lie.width),
    width,
  )
  const y = axis(
    lies.map((lie) => lie.height),
    height,
  )
  const rests = (along: Axis) => along.normal.map((_, i) => ({ cut: along.rest(i, 0), torn: along.rest(i, strip) }))
  const [restsX, restsY] = [rests(x), rests(y)]
  const table = (weakerX: Ceilings | null, weakerY: Ceilings | null) =>
    ceilings(x, y, lies, restsX, restsY, { x: weakerX, y: weakerY })
  const knife = table(null, null)
  if (strip === 0) return { x, y, restsX, restsY, pieces: [knife, knife, knife, knife] }
  const across = table(knife, null)
  const down = table(null, knife)
  return { x, y, restsX, restsY, pieces: [knife, across, down, table(down, across)] }
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
function ceilings(
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
