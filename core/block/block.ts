import { IsIn, IsNumber, Max, Min } from 'class-validator'
import { Part, Words } from '../ground/shape'
import { longest } from '../units/length'

/** What carries the image. Planographic plates may be listed; relief faults are not applied to them. */
export type BlockKind =
  'hard lino' | 'soft-cut lino' | 'vinyl' | 'wood' | 'board' | 'photopolymer' | 'planographic plate' | 'other'
export const blockKinds: readonly BlockKind[] = [
  'hard lino',
  'soft-cut lino',
  'vinyl',
  'wood',
  'board',
  'photopolymer',
  'planographic plate',
  'other',
]

/** How the drawing comes onto the block. */
export type Transfer = 'carbon copy' | 'toner face down' | 'film' | 'drawn direct' | 'rubbed from a print'
export const transfers: readonly Transfer[] = [
  'carbon copy',
  'toner face down',
  'film',
  'drawn direct',
  'rubbed from a print',
]

/** Where the image lies inside the block, from its upper left corner as the finished print shows it. mm. */
export class ImagePlace {
  @IsNumber() @Min(-longest) @Max(longest) left!: number
  @IsNumber() @Min(-longest) @Max(longest) top!: number
  @IsNumber() @Min(0) @Max(longest) width!: number
  @IsNumber() @Min(0) @Max(longest) height!: number
}

/** A block as it is described. Lengths in mm. */
export class BlockDescription {
  static readonly sample: BlockDescription = {
    name: 'key',
    kind: 'wood',
    width: 200,
    height: 150,
    thickness: 23.3,
    image: { left: 5, top: 5, width: 180, height: 130 },
    rotation: 0.5,
    removed: '',
    transfer: 'film',
    note: '',
  }

  @Words(60) name!: string
  @IsIn(blockKinds) kind!: BlockKind
  @IsNumber() @Min(0) @Max(longest) width!: number
  @IsNumber() @Min(0) @Max(longest) height!: number
  /** Thickness with its mount, as it lies on the bed. */
  @IsNumber() @Min(0) @Max(200) thickness!: number
  @Part(() => ImagePlace) image!: ImagePlace
  /** Degrees clockwise that the block is turned about its centre to square the image: the correction, not the error. */
  @IsNumber() @Min(-45) @Max(45) rotation!: number
  /** Parts sawn off or pierced, in words. A trimmed block registers from its mount. */
  @Words(300) removed!: string
  @IsIn(transfers) transfer!: Transfer
  @Words(500) note!: string
}

/** Whether a way of transfer reverses the drawing by itself. The print always reverses the block. */
const reverses: Record<Transfer, boolean> = {
  'carbon copy': false,
  'toner face down': true,
  film: true,
  'drawn direct': false,
  'rubbed from a print': true,
}

/**
 * True when the drawing must be flipped before it is transferred, so that lettering reads right in the print. Traced
 * or drawn as it is, it prints reversed; laid face down it is reversed once on the block and once more in the print.
 */
export function mustFlip(transfer: Transfer): boolean {
  return !reverses[transfer]
}

/** What to do with the drawing, in a sentence. */
export function flipWords(transfer: Transfer): string {
  switch (transfer) {
    case 'carbon copy':
      return 'A traced copy prints reversed: flip the drawing before you trace it.'
    case 'drawn direct':
      return 'What is drawn on the block prints reversed: draw lettering backwards, or flip a copy and follow it.'
    case 'toner face down':
      return 'A toner copy laid face down reverses itself: copy the drawing the right way round.'
    case 'film':
      return 'The film should read right and lie with its printed side on the plate: do not flip it.'
    case 'rubbed from a print':
      return 'A wet print laid face down on the block reverses itself: leave the print as it is.'
  }
}

/** Why a description cannot stand, or null. */
export function blockFault(block: BlockDescription): { field: string; message: string } | null {
  if (block.name.trim() === '')
    return { field: 'name', message: 'Give the block a name to find it by, for instance key block.' }
  if (!(block.width > 0 && block.height > 0))
    return { field: 'width', message: 'A block has a width and a height above zero.' }
  const { left, top, width, height } = block.image
  if (!(width > 0 && height > 0))
    return { field: 'image', message: 'The image on the block has a width and a height above zero.' }
  if (left + width > block.width + 0.05 || top + height > block.height + 0.05)
    return {
      field: 'image',
      message:
        'The image does not fit inside the block. Measure its place from the block’s upper left corner as the print shows it.',
    }
  return null
}
