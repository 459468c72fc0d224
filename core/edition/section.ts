import type { DrawerPiece } from '../press/drawer'
import type { Section } from '../press/edges'
import type { PressSetting } from '../press/stack'
import type { EditionState } from './state'

/** What a set-up has beside its heights: lengths by the drawer, pins by the registration, the block's two sides. */
export function sectionOf(
  { blocks, register }: Pick<EditionState, 'blocks' | 'register'>,
  drawer: readonly DrawerPiece[],
  { packing, block }: Pick<PressSetting, 'packing' | 'block'>,
): Section {
  const known = block && blocks.find((one) => one.block.name === block.name)
  return {
    block: block && { ...block, sides: known ? sidesOf(known.block) : null },
    packing: packing.map(({ name, pieceId }) => ({
      name,
      length: drawer.find(({ id }) => id === pieceId)?.length ?? null,
    })),
    pins: register?.register.pins ?? [],
  }
}

function sidesOf({ width, height }: { width: number; height: number }): { least: number; most: number } {
  return { least: Math.min(width, height), most: Math.max(width, height) }
}
