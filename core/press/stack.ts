/** What lies in a press for a layer. Thickness in mm, felts and blankets as they are when squeezed. */
export interface Packing {
  name: string
  /** Of one piece, mm. */
  thickness: number
  /** The drawer's piece, or null for what is not of the drawer. */
  pieceId: string | null
  count: number
}

/** One screw's setting, counted from that screw's own zero. */
export interface ScrewSetting {
  turns: number
  divisions: number
}

/** How the press is set for a layer. */
export interface PressSetting {
  /** From the sheet outwards. */
  packing: Packing[]
  /** The block with its mount, or null where it was not said. */
  block: { name: string; thickness: number } | null
  /** Thickness of the sheet, mm, or null where it was not said. */
  sheet: number | null
  /** How far below the stack the gap is set, mm, or null where it was set by feel. */
  nip: number | null
  left: ScrewSetting
  right: ScrewSetting
  note: string
}

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
