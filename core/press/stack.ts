import { IsInt, IsNumber, Length, Max, Min } from 'class-validator'
import { Id, OrNull, Part, Parts, Words } from '../ground/shape'

/** What lies in a press for a layer. Thickness in mm, felts and blankets as they are when squeezed. */
export class Packing {
  @Length(1, 60) name!: string
  /** Of one piece, mm. */
  @IsNumber() @Min(0) @Max(60) thickness!: number
  /** The drawer's piece, or null for what is not of the drawer. */
  @OrNull() @Id('piece') pieceId!: string | null
  @IsInt() @Min(1) @Max(60) count!: number
}

/** One screw's setting, counted from that screw's own zero. */
export class ScrewSetting {
  @IsInt() @Min(-60) @Max(60) turns!: number
  @IsNumber() @Min(-400) @Max(400) divisions!: number
}

class BlockLaid {
  @Length(1, 80) name!: string
  @IsNumber() @Min(0.1) @Max(200) thickness!: number
}

/** How the press is set for a layer. */
export class PressSetting {
  /** From the sheet outwards. */
  @Parts(() => Packing, 20) packing!: Packing[]
  /** The block with its mount, or null where it was not said. */
  @OrNull() @Part(() => BlockLaid) block!: BlockLaid | null
  /** Thickness of the sheet, mm, or null where it was not said. */
  @OrNull() @IsNumber() @Min(0) @Max(10) sheet!: number | null
  /** How far below the stack the gap is set, mm, or null where it was set by feel. */
  @OrNull() @IsNumber() @Min(-5) @Max(20) nip!: number | null
  @Part(() => ScrewSetting) left!: ScrewSetting
  @Part(() => ScrewSetting) right!: ScrewSetting
  @Words(500) note!: string
}

/**
 * Height of all the packing, mm.
 * @example
 * packingHeight([{ thickness: 2.4, count: 2 }]) // 4.8
 */
export const packingHeight = (packing: readonly Pick<Packing, 'thickness' | 'count'>[]): number =>
  packing.reduce((sum, { thickness, count }) => sum + thickness * count, 0)

/** The whole stack, mm; null while the block or the sheet has no thickness. */
export function stackHeight({
  packing,
  block,
  sheet,
}: Pick<PressSetting, 'packing' | 'block' | 'sheet'>): number | null {
  return block === null || sheet === null ? null : packingHeight(packing) + block.thickness + sheet
}

/** What a setting written before stacks were kept did not say. */
export const settingDefaults: Pick<PressSetting, 'block' | 'sheet' | 'nip'> = { block: null, sheet: null, nip: null }
