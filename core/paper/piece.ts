import type { Edges, PieceWanted, SheetInHand } from './tear-request'

export interface Margins {
  top: number
  right: number
  bottom: number
  left: number
}

/** Images on one piece of paper, and what is left between two of them, mm. */
export interface ImagesOnPiece {
  across: number
  down: number
  gap: number
}

/** More images than this are not printed side by side on one piece. */
export const mostImages = 8

export const oneImage: ImagesOnPiece = { across: 1, down: 1, gap: 0 }

/** How many that is. */
export const imagesOn = ({ across, down }: ImagesOnPiece): number => across * down

/** How an edition's sheets are to be got out of the paper. Lengths in mm. */
export interface PiecePlan {
  /** The lot it is torn from, or null while none is chosen. */
  lotId: string | null
  sheet: SheetInHand
  /** One image. */
  image: { width: number; height: number }
  /** Images side by side on one piece, to be cut apart after printing, and the paper between them. */
  images: ImagesOnPiece
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

/** Size of the finished piece: its images, what is between them, and the margins. */
export function finishedSize({ image, images, margins }: Pick<PiecePlan, 'image' | 'images' | 'margins'>): {
  width: number
  height: number
} {
  const { across, down, gap } = images
  return {
    width: across * image.width + (across - 1) * gap + margins.left + margins.right,
    height: down * image.height + (down - 1) * gap + margins.top + margins.bottom,
  }
}

/** Size of the piece to tear: the finished sheet and what is trimmed later. */
export function pieceSize(plan: Pick<PiecePlan, 'image' | 'images' | 'margins' | 'trim'>): {
  width: number
  height: number
} {
  const { width, height } = finishedSize(plan)
  return { width: width + 2 * plan.trim, height: height + 2 * plan.trim }
}

/** The image that margins and gaps leave on a sheet of a given size; a side may come out at zero or below. */
export function imageOn(
  size: { width: number; height: number },
  { margins, images: { across, down, gap } }: Pick<PiecePlan, 'margins' | 'images'>,
): { width: number; height: number } {
  return {
    width: (size.width - margins.left - margins.right - (across - 1) * gap) / across,
    height: (size.height - margins.top - margins.bottom - (down - 1) * gap) / down,
  }
}

/** Why a piece cannot be planned, or null. */
export function pieceFault(plan: PiecePlan): { field: string; message: string } | null {
  if (!(plan.sheet.width > 0 && plan.sheet.height > 0))
    return { field: 'sheet', message: 'Give the large sheet’s width and height as measured.' }
  if (!(plan.image.width > 0 && plan.image.height > 0))
    return { field: 'image', message: 'These margins leave no image. Make them smaller or the sheet larger.' }
  const { across, down } = plan.images
  if (across < 1 || down < 1 || imagesOn(plan.images) > mostImages)
    return { field: 'images', message: `A piece holds 1 to ${mostImages} images; ${across} × ${down} was given.` }
  return null
}
