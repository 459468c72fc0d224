import { IsIn, IsInt, IsNumber, Max, Min } from 'class-validator'
import { Id, OrNull, Part } from '../ground/shape'
import { longest } from '../units/length'
import { Edges, noEdges, type PieceWanted, SheetInHand } from './tear-request'

/** More images than this are not printed side by side on one piece. */
export const mostImages = 8

export class Margins {
  @IsNumber() @Min(0) @Max(longest) top!: number
  @IsNumber() @Min(0) @Max(longest) right!: number
  @IsNumber() @Min(0) @Max(longest) bottom!: number
  @IsNumber() @Min(0) @Max(longest) left!: number
}

/** Images on one piece of paper, and what is left between two of them, mm. */
export class ImagesOnPiece {
  @IsInt() @Min(1) @Max(mostImages) across!: number
  @IsInt() @Min(1) @Max(mostImages) down!: number
  @IsNumber() @Min(0) @Max(500) gap!: number
}

export const oneImage: ImagesOnPiece = { across: 1, down: 1, gap: 0 }

/** How many that is. */
export const imagesOn = ({ across, down }: ImagesOnPiece): number => across * down

class SignedSize {
  @IsNumber() @Min(-longest) @Max(longest) width!: number
  @IsNumber() @Min(-longest) @Max(longest) height!: number
}

/** How an edition's sheets are to be got out of the paper. Lengths in mm. */
export class PiecePlan {
  static readonly sample: PiecePlan = {
    lotId: 'l',
    sheet: { width: 760, height: 560, deckles: noEdges, allowance: 0, grain: 'unknown' },
    image: { width: 240, height: 160 },
    images: { across: 2, down: 1, gap: 20 },
    margins: evenMargins(30, 1.25),
    foot: 1.25,
    trim: 0,
    grain: 'free',
    deckles: noEdges,
    strip: 15,
  }

  /** The lot it is torn from, or null while none is chosen. */
  @OrNull() @Id('lot') lotId!: string | null
  @Part(() => SheetInHand) sheet!: SheetInHand
  /** One image. */
  @Part(() => SignedSize) image!: SignedSize
  /** Images side by side on one piece, to be cut apart after printing, and the paper between them. */
  @Part(() => ImagesOnPiece) images!: ImagesOnPiece
  @Part(() => Margins) margins!: Margins
  /** The foot's margin over the others while they are kept even, or null when each margin is set by itself. */
  @OrNull() @IsNumber() @Min(0.5) @Max(3) foot!: number | null
  /** Torn larger all round, to be trimmed after printing. */
  @IsNumber() @Min(0) @Max(200) trim!: number
  @IsIn(['width', 'height', 'free']) grain!: PieceWanted['grain']
  @Part(() => Edges) deckles!: Edges
  /** Narrowest strip that can be torn, or 0 when cut with a knife. */
  @IsNumber() @Min(0) @Max(200) strip!: number
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
