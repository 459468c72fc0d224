import { bitsOf, type Frame, frames, units } from './frames'
import { type Best, bestLayouts } from './lay-outs'
import type { TearRequest } from './tear-request'
import { type Offcut, type Steps, stepsOf } from './tear-steps'
import type { Edge } from './tear-request'

/** How to tear one large sheet. Lengths in mm. */
export interface TearPlan extends Steps {
  perSheet: number
  /** Large sheets needed, or null when none gives a piece. */
  sheets: number | null
  /** Why nothing fits, or an empty text. */
  reason: string
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

/** More pieces than this from one sheet are not planned. */
const mostPieces = 5000

const isBetter = (a: Best, b: Best) =>
  a.pieces - b.pieces || a.points - b.points || b.tears - a.tears || a.offcut - b.offcut

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
})

/**
 * How to tear one large sheet: the exact most pieces over all lay-outs of straight tears, and of those the most wanted
 * deckles, then the fewest tears, then the largest single offcut (models.md, M2).
 * @param progress told now and then how many parts of the sheet were looked at
 * @returns lengths in mm; 0 pieces and the reason when nothing fits
 */
export function planTears(request: TearRequest, progress: (parts: number) => void = () => {}): TearPlan {
  const { piece, strip } = request
  const unfit = whyNot(request)
  if (unfit) return empty(unfit)
  const least = Math.min(piece.width, piece.height)
  if (least < strip) {
    const { perSheet } = planTears({ ...request, strip: 0 }, progress)
    const reason = `A piece ${least} mm narrow cannot be torn: the narrowest strip is ${strip} mm.`
    return {
      ...empty(`${reason}${perSheet > 0 ? ` A knife gives ${perSheet} to a sheet.` : ''}`),
      knifeGives: perSheet || null,
    }
  }
  const searches = new Map<string, ReturnType<typeof bestLayouts>>()
  const found = frames(request).map((frame) => {
    const lies = frame.ways.map((way) => way.lie)
    // Frames of one size share what is found out about their parts, whichever of their sides carry a deckle.
    const size = `${frame.width} ${frame.height} ${frame.ways.map((way) => way.turned).join()}`
    const search = searches.get(size) ?? bestLayouts(frame.width, frame.height, lies, units(strip), progress)
    searches.set(size, search)
    return { frame, best: search(bitsOf(frame.kept)) }
  })
  const { frame, best } = found.reduce((a, b) => (isBetter(b.best, a.best) > 0 ? b : a))
  const cut = Math.max(...found.map((one) => one.best.cut))
  const knifeGives = cut > best.pieces ? cut : null
  if (best.pieces === 0) return { ...empty(whyNothing(request, cut)), knifeGives }
  return written(request, frame, best, knifeGives)
}

/** Why no plan can be made at all, or an empty text. */
function whyNot({ sheet, piece }: TearRequest): string {
  if (!(piece.width > 0 && piece.height > 0)) return 'The piece has no size yet.'
  if (!(sheet.width > 0 && sheet.height > 0)) return 'The sheet has no size yet.'
  if (sheet.width * sheet.height > mostPieces * piece.width * piece.height)
    return `More than ${mostPieces} pieces to a sheet are not planned. Give a larger piece.`
  if (piece.grain !== 'free' && sheet.grain === 'unknown')
    return 'A grain is wanted and the sheet’s is not known. Find it by tearing or damping a corner, or let the grain be free.'
  return ''
}

/** The plan in mm, from the lay-out found. */
function written(request: TearRequest, frame: Frame, best: Best, knifeGives: number | null): TearPlan {
  const { sheet, piece, count, price } = request
  const { x, y } = frame
  const sheets = Math.ceil(count / best.pieces)
  return {
    ...empty(''),
    ...stepsOf(request, frame, best.layout),
    perSheet: best.pieces,
    sheets,
    knifeGives,
    datum: { x: x ?? 'left', y: y ?? 'top' },
    waste: 1 - (best.pieces * piece.width * piece.height) / (sheet.width * sheet.height),
    cost: sheets * price,
    trued: [x, y]
      .filter((edge) => edge !== null)
      .map((edge) => ({ edge, loses: sheet.allowance, deckle: sheet.deckles[edge] }))
      .filter(({ loses, deckle }) => loses > 0 || deckle),
  }
}

function whyNothing(request: TearRequest, knife: number): string {
  const { sheet, piece, strip } = request
  if (knife > 0)
    return `Only strips narrower than ${strip} mm would be left, which cannot be torn. A knife gives ${knife} to a sheet.`
  const width = sheet.width - sheet.allowance
  const height = sheet.height - sheet.allowance
  const fitsSomehow =
    (piece.width <= width && piece.height <= height) || (piece.height <= width && piece.width <= height)
  if (piece.grain !== 'free' && fitsSomehow)
    return 'The piece fits only across the grain. Let the grain be free, or take a larger sheet.'
  return 'The piece is larger than the sheet. Take a larger sheet, or a smaller image or margins.'
}
