import type { Layer } from '#core/edition/layer'
import type { InkKnown } from '#core/run/ink-need'
import { inkKnown, type InkRoom } from '#core/run/ink-standing'

/** What this room knows of its inks and pulls. */
export function useInkRoom() {
  const edition = useEdition()
  const supplies = useSupplies()
  const { shelf } = useShelf()
  return (): InkRoom => ({
    batches: supplies.batches,
    tubs: shelf.value.tubs,
    record: edition.record,
    confidence: edition.studio.confidence,
  })
}

/** What the room knows of a layer's ink: weighed runs, densities of its batches, pass rates. */
export function useInkKnown() {
  const room = useInkRoom()
  return (layer: Layer): InkKnown => inkKnown(layer, room())
}
