import { IsBoolean, IsIn, IsNumber, Max, Min } from 'class-validator'
import { longest } from '../units/length'
import { Part } from '../ground/shape'

export type Edge = 'left' | 'right' | 'top' | 'bottom'
export const edges: readonly Edge[] = ['left', 'right', 'top', 'bottom']

/** Which edges of a sheet carry a deckle. */
export class Edges implements Record<Edge, boolean> {
  @IsBoolean() left!: boolean
  @IsBoolean() right!: boolean
  @IsBoolean() top!: boolean
  @IsBoolean() bottom!: boolean
}

export const noEdges: Edges = { left: false, right: false, top: false, bottom: false }

/** Which side the fibres run along: `width` is the first side given, `height` the second. */
export const grains = ['width', 'height', 'unknown'] as const
export type Grain = (typeof grains)[number]

/** The large sheet as it lies on the table. Lengths in mm. */
export class SheetInHand {
  /** As measured; of an uneven sheet the shorter of two opposite sides. */
  @IsNumber() @Min(0) @Max(longest) width!: number
  @IsNumber() @Min(0) @Max(longest) height!: number
  @Part(() => Edges) deckles!: Edges
  /** Lost in truing up the datum edge of each direction. */
  @IsNumber() @Min(0) @Max(200) allowance!: number
  @IsIn(grains) grain!: Grain
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

/** Strips narrower than this cannot be torn against a straightedge, as a rule. */
export const usualStrip = 15

/** The same request for each way the grain may run, when a grain is wanted and the sheet's is not known; else itself. */
export function byGrain(request: TearRequest): TearRequest[] {
  const { sheet, piece } = request
  if (piece.grain === 'free' || sheet.grain !== 'unknown') return [request]
  return (['width', 'height'] as const).map((grain) => ({ ...request, sheet: { ...sheet, grain } }))
}
