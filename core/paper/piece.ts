import type { Edges, PieceWanted, SheetInHand } from './tear-request'

export interface Margins {
  top: number
  right: number
  bottom: number
  left: number
}

/** How an edition's sheets are to be got out of the paper. Lengths in mm. */
export interface PiecePlan {
  /** The lot it is torn from, or null while none is chosen. */
  lotId: string | null
  sheet: SheetInHand
  image: { width: number; height: number }
  margins: Margins
  /** The foot's margin over the others while they are kept even, or null when each margin is set by itself. */
  foot: number | null
  /** Torn larger all round, to be trimmed after printing. */
  trim: number
  grain: PieceWanted['grain']
  deckles: Edges
  /** Narrowest strip that can be torn, or 0 when cut with a knife. */
  strip: number
}

/** A foot a quarter heavier than the other margins is a usual start. */
export const usualFoot = 1.25

/** Even margins with a heavier foot. */
export function evenMargins(side: number, foot: number): Margins {
  return { top: side, right: side, bottom: side * foot, left: side }
}

/** Size of the finished sheet: image and margins. */
export function finishedSize({ image, margins }: Pick<PiecePlan, 'image' | 'margins'>): {
  width: number
  height: number
} {
  return { width: image.width + margins.left + margins.right, height: image.height + margins.top + margins.bottom }
}

/** Size of the piece to tear: the finished sheet and what is trimmed later. */
export function pieceSize(plan: Pick<PiecePlan, 'image' | 'margins' | 'trim'>): { width: number; height: number } {
  const { width, height } = finishedSize(plan)
  return { width: width + 2 * plan.trim, height: height + 2 * plan.trim }
}

/** The image that margins leave on a sheet of a given size; a side may come out at zero or below. */
export function imageOn(size: { width: number; height: number }, margins: Margins): { width: number; height: number } {
  return { width: size.width - margins.left - margins.right, height: size.height - margins.top - margins.bottom }
}

/** Why a piece cannot be planned, or null. */
export function pieceFault(plan: PiecePlan): { field: string; message: string } | null {
  if (!(plan.sheet.width > 0 && plan.sheet.height > 0))
    return { field: 'sheet', message: 'Give the large sheet’s width and height as measured.' }
  if (!(plan.image.width > 0 && plan.image.height > 0))
    return { field: 'image', message: 'These margins leave no image. Make them smaller or the sheet larger.' }
  return null
}
