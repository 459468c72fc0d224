import type { Layer } from '#core/edition/layer'
import type { InkKnown } from '#core/run/ink-need'

/** What the room knows of a layer's ink: weighed runs, densities of its batches, pass rates. */
export function useInkKnown() {
  const edition = useEdition()
  const supplies = useSupplies()
  const { ofBatch } = useShelf()
  return (layer: Layer): InkKnown => ({
    runs: supplies.batches.flatMap((batch) => batch.runs),
    density: new Map(
      layer.zones.flatMap((zone) => {
        const mix = ofBatch(zone.batchId)
        return mix ? [[zone.id, mix.density] as const] : []
      }),
    ),
    record: edition.record,
    confidence: edition.studio.confidence,
  })
}
