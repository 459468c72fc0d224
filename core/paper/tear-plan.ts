import { deckleBits, type Lie } from './ceilings'
import { bestLayouts, type Layout } from './guillotine'

export type Edge = 'left' | 'right' | 'top' | 'bottom'
export const edges: readonly Edge[] = ['left', 'right', 'top', 'bottom']
export type Edges = Record<Edge, boolean>
export const noEdges: Edges = { left: false, right: false, top: false, bottom: false }

/** Which side the fibres run along: `width` is the first side given, `height` the second. */
export type Grain = 'width' | 'height' | 'unknown'

/** The large sheet as it lies on the table. Lengths in mm. */
export interface SheetInHand {
  /** As measured; of an uneven sheet the shorter of two opposite sides. */
  width: number
  height: number
  deckles: Edges
  /** Lost in truing up the datum edge of each direction. */
  allowance: number
  grain: Grain
}

/** One piece, with the way it is wanted. Lengths in mm. */
export interface PieceWanted {
  width: number
  height: number
  /** The side of the piece its fibres shall run along, or `free`. */
  grain: 'width' | 'height' | 'free'
  /** Edges of the piece that should carry a deckle; a half turn may bring them there. */
  deckles: Edges
}

export interface TearRequest {
  sheet: SheetInHand
  piece: PieceWanted
  /** Pieces wanted in all. */
  count: number
  /** Narrowest strip that can be torn against the edge, mm; 0 when cut with a knife. */
  strip: number
  /** Price of a large sheet. */
  price: number
  /** The block, to tell whether an offcut still takes a proof, or null. */
  block: { width: number; height: number } | null
}

export interface Rectangle {
  x: number
  y: number
  width: number
  height: number
}

/** One tear, right across the part in hand. Positions in mm from the sheet's upper left corner. */
export interface Tear {
  number: number
  part: Rectangle
  /** `x`: from top to bottom of the part, at a distance across; `y`: from left to right. */
  across: 'x' | 'y'
  at: number
  /** Distance from `from`, a trued edge of the part and never a deckle. */
  distance: number
  from: Edge
}

export interface PlacedPiece extends Rectangle {
  /** True when it lies a quarter turn from the way it was given. */
  turned: boolean
  /** Wanted edges that carry a deckle. */
  deckled: number
}

export interface Offcut extends Rectangle {
  use: 'proof' | 'test strip'
}

export interface TearPlan {
  perSheet: number
  /** Large sheets needed, or null when none gives a piece. */
  sheets: number | null
  /** Why nothing fits, or an empty text. */
  reason: string
  tears: Tear[]
  pieces: PlacedPiece[]
  offcuts: Offcut[]
  /** Share of one sheet's area that is in no piece, 0 to 1. */
  waste: number
  /** Price of the sheets needed, or null. */
  cost: number | null
  /** Edges every distance goes back to. */
  datum: { x: 'left' | 'right'; y: 'top' | 'bottom' }
  /** Edges to true up first: what is lost there, and whether a deckle goes with it. */
  trued: { edge: Edge; loses: number; deckle: boolean }[]
  /** Pieces a knife would give, when that is more; else null. */
  knifeGives: number | null
  /** True when deckles were wished for, but among too many lay-outs to search are only counted where they fall. */
  deckleLeft: boolean
}

/** Offcuts of one size and use, and how many of them a sheet leaves. */
export interface OffcutSize {
  width: number
  height: number
  use: Offcut['use']
  count: number
}

/** The offcuts of one sheet gathered by size, in the order they are torn off; sizes within 0.1 mm are the same. */
export function offcutSizes(offcuts: readonly Offcut[]): OffcutSize[] {
  const sizes: OffcutSize[] = []
  for (const { width, height, use } of offcuts) {
    const known = sizes.find((size) => Math.abs(size.width - width) < 0.1 && Math.abs(size.height - height) < 0.1)
    if (known) known.count += 1
    else sizes.push({ width, height, use, count: 1 })
  }
  return sizes
}

/** Strips narrower than this cannot be torn against a straightedge, as a rule. */
export const usualStrip = 15

/** More pieces than this from one sheet are not planned. */
const mostPieces = 5000

/** Tears looked at before wishes for a deckle, which only break ties, are given up, so that no plan takes long. */
export const mostTears = 120_000

const perMm = 10_000
const units = (mm: number) => Math.round(mm * perMm)

const turns: Record<0 | 90 | 180 | 270, Record<Edge, Edge>> = {
  0: { left: 'left', right: 'right', top: 'top', bottom: 'bottom' },
  180: { left: 'right', right: 'left', top: 'bottom', bottom: 'top' },
  90: { top: 'right', right: 'bottom', bottom: 'left', left: 'top' },
  270: { top: 'left', left: 'bottom', bottom: 'right', right: 'top' },
}

const bitsOf = (set: Edges) => edges.reduce((bits, edge) => bits | (set[edge] ? deckleBits[edge] : 0), 0)

/** Points for each set of deckled sides: one for each wanted edge that lies on one, the better of two half turns. */
function pointsFor(wanted: Edges, quarter: boolean): number[] {
  const ways = quarter ? [turns[90], turns[270]] : [turns[0], turns[180]]
  return Array.from({ length: 16 }, (_, bits) =>
    Math.max(...ways.map((way) => edges.filter((edge) => wanted[edge] && (bits & deckleBits[way[edge]]) !== 0).length)),
  )
}

/** The ways a piece may lie on the sheet, given both grains. */
function liesFor({ sheet, piece }: TearRequest): { lie: Lie; turned: boolean }[] {
  const straight = {
    lie: { width: units(piece.width), height: units(piece.height), points: pointsFor(piece.deckles, false) },
    turned: false,
  }
  const quarter = {
    lie: { width: units(piece.height), height: units(piece.width), points: pointsFor(piece.deckles, true) },
    turned: true,
  }
  if (piece.grain === 'free' || sheet.grain === 'unknown') return [straight, quarter]
  return [piece.grain === sheet.grain ? straight : quarter]
}

/** Datum edges worth trying in one direction: one without a deckle, or either when both carry one. */
function datums<A extends Edge>(deckles: Edges, [first, second]: readonly [A, A]): A[] {
  if (!deckles[first]) return [first]
  return deckles[second] ? [first, second] : [second]
}

/** A set of sides as it lies after the sheet is turned over about one axis, or both. */
const turnedOver = (bits: number, acrossX: boolean, acrossY: boolean) =>
  bitsOf({
    left: (bits & deckleBits[acrossX ? 'right' : 'left']) !== 0,
    right: (bits & deckleBits[acrossX ? 'left' : 'right']) !== 0,
    top: (bits & deckleBits[acrossY ? 'bottom' : 'top']) !== 0,
    bottom: (bits & deckleBits[acrossY ? 'top' : 'bottom']) !== 0,
  })

/** True when two sets of deckled sides give the same lay-outs, mirrored, for the same points. */
const alike = (a: number, b: number, lies: readonly Lie[]) =>
  [
    [false, false],
    [true, false],
    [false, true],
    [true, true],
  ].some(
    ([x, y]) =>
      turnedOver(a, x!, y!) === b &&
      lies.every((lie) => lie.points.every((points, bits) => points === lie.points[turnedOver(bits, x!, y!)])),
  )

const empty = (reason: string): TearPlan => ({
  perSheet: 0,
  sheets: null,
  reason,
  tears: [],
  pieces: [],
  offcuts: [],
  waste: 1,
  cost: null,
  datum: { x: 'left', y: 'top' },
  trued: [],
  knifeGives: null,
  deckleLeft: false,
})

/**
 * How to tear one large sheet: the exact most pieces over all lay-outs of straight tears, and of those the most wanted
 * deckles, then the fewest tears, then the largest single offcut (MODELS M2).
 * @returns lengths in mm; 0 pieces and the reason when nothing fits
 */
export function planTears(request: TearRequest): TearPlan {
  const { sheet, piece, strip } = request
  if (!(piece.width > 0 && piece.height > 0)) return empty('The piece has no size yet.')
  if (!(sheet.width > 0 && sheet.height > 0)) return empty('The sheet has no size yet.')
  if (sheet.width * sheet.height > mostPieces * piece.width * piece.height)
    return empty(`More than ${mostPieces} pieces to a sheet are not planned. Give a larger piece.`)
  const ways = liesFor(request)
  const lies = ways.map((way) => way.lie)
  const width = units(sheet.width - sheet.allowance)
  const height = units(sheet.height - sheet.allowance)
  const wished = edges.some((edge) => piece.deckles[edge])
  const corners = datums(sheet.deckles, ['left', 'right']).flatMap((x) =>
    datums(sheet.deckles, ['top', 'bottom']).map((y) => {
      const kept: Edges = { ...sheet.deckles, [x]: false, [y]: false }
      return { x, y, kept, bits: wished ? bitsOf(kept) : 0 }
    }),
  )
  const layouts = bestLayouts(width, height, lies, units(strip), mostTears)
  const different = corners.filter(
    ({ bits }, i) => !corners.slice(0, i).some((before) => alike(before.bits, bits, lies)),
  )
  const sought = different.map((way) => ({ ...way, best: layouts(way.bits) }))
  const deckleLeft = sought.some(({ best }) => best === null)
  const tried = deckleLeft
    ? [{ ...corners[0]!, best: layouts(0)! }]
    : sought.map((way) => ({ ...way, best: way.best! }))
  const { x, y, kept, best } = tried.reduce((a, b) =>
    b.best.points > a.best.points || (b.best.points === a.best.points && b.best.tears < a.best.tears) ? b : a,
  )
  const knifeGives = best.cut > best.pieces ? best.cut : null
  if (best.pieces === 0) return { ...empty(whyNothing(request, ways.length, best.cut)), knifeGives }
  const plan: TearPlan = {
    ...empty(''),
    perSheet: best.pieces,
    sheets: Math.ceil(request.count / best.pieces),
    knifeGives,
    deckleLeft,
    datum: { x, y },
    waste: 1 - (best.pieces * piece.width * piece.height) / (sheet.width * sheet.height),
    cost: Math.ceil(request.count / best.pieces) * request.price,
    trued: [x, y]
      .map((edge) => ({ edge, loses: sheet.allowance, deckle: sheet.deckles[edge] }))
      .filter(({ loses, deckle }) => loses > 0 || deckle),
  }
  const origin = { x: x === 'left' ? sheet.allowance : 0, y: y === 'top' ? sheet.allowance : 0 }
  lay(plan, best.layout, { ...origin, width: width / perMm, height: height / perMm }, kept, request, ways)
  return plan
}

function whyNothing({ sheet, piece, strip }: TearRequest, ways: number, knife: number): string {
  if (knife > 0)
    return `Only strips narrower than ${strip} mm would be left, which cannot be torn. A knife gives ${knife} to a sheet.`
  const turnedFits = piece.height <= sheet.width - sheet.allowance && piece.width <= sheet.height - sheet.allowance
  const fits = piece.width <= sheet.width - sheet.allowance && piece.height <= sheet.height - sheet.allowance
  if (ways === 1 && (turnedFits || fits))
    return 'The piece fits only across the grain. Let the grain be free, or take a larger sheet.'
  return 'The piece is larger than the sheet. Take a larger sheet, or a smaller image or margins.'
}

/** Walk a lay-out, writing down tears, pieces and offcuts. */
function lay(
  plan: TearPlan,
  layout: Layout,
  part: Rectangle,
  deckles: Edges,
  request: TearRequest,
  ways: readonly { lie: Lie; turned: boolean }[],
): void {
  if (layout.kind === 'offcut') {
    plan.offcuts.push({ ...part, use: takesBlock(part, request.block) ? 'proof' : 'test strip' })
    return
  }
  if (layout.kind === 'piece') {
    const { lie, turned } = ways[layout.lie]!
    plan.pieces.push({ ...part, turned, deckled: lie.points[bitsOf(deckles)]! })
    return
  }
  const at = layout.at / perMm
  const [near, far]: [Edge, Edge] = layout.across === 'x' ? ['left', 'right'] : ['top', 'bottom']
  const whole = layout.across === 'x' ? part.width : part.height
  const fromNear = !deckles[near]
  plan.tears.push({
    number: plan.tears.length + 1,
    part,
    across: layout.across,
    at: (layout.across === 'x' ? part.x : part.y) + at,
    distance: fromNear ? at : whole - at,
    from: fromNear ? near : far,
  })
  const first = layout.across === 'x' ? { ...part, width: at } : { ...part, height: at }
  const second =
    layout.across === 'x'
      ? { ...part, x: part.x + at, width: whole - at }
      : { ...part, y: part.y + at, height: whole - at }
  lay(plan, layout.first, first, { ...deckles, [far]: false }, request, ways)
  lay(plan, layout.second, second, { ...deckles, [near]: false }, request, ways)
}

function takesBlock(part: Rectangle, block: { width: number; height: number } | null): boolean {
  if (!block) return false
  return (
    (part.width >= block.width && part.height >= block.height) ||
    (part.width >= block.height && part.height >= block.width)
  )
}
