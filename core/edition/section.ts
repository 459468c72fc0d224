import type { DrawerPiece } from '../press/drawer'
import type { Section } from '../press/edges'
import type { PressSetting } from '../press/stack'
import type { EditionState } from './state'

/** What a set-up has beside its heights: lengths by the drawer, pins by the registration, the block's shorter side. */
export function sectionOf(
  { blocks, register }: Pick<EditionState, 'blocks' | 'register'>,
  drawer: readonly DrawerPiece[],
  { packing, block }: Pick<PressSetting, 'packing' | 'block'>,
): Section {
  const known = block && blocks.find((one) => one.block.name === block.name)
  return {
    block: block && { ...block, least: known ? Math.min(known.block.width, known.block.height) : null },
    packing: packing.map(({ name, pieceId }) => ({
      name,
      length: drawer.find(({ id }) => id === pieceId)?.length ?? null,
    })),
    pins: register?.register.pins ?? [],
  }
}
