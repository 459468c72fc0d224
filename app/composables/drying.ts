import { computed, type Ref } from 'vue'
import { drynessOf } from '#core/run/dryness'
import { useEdition } from '~/stores/edition'
import { useSupplies } from '~/stores/supplies'

/** When a layer is fit for what, from its last pull, the room's air and its touch tests; null while nothing was pulled. */
export function useDrying(layerId: Ref<string>, now: Ref<number>) {
  const edition = useEdition()
  const supplies = useSupplies()

  const isDamp = computed(() => supplies.lots.find(({ id }) => id === edition.state?.piece?.lotId)?.damp ?? false)
  const told = computed(() => {
    const { state } = edition
    const room = {
      familyOf: (id: string) => supplies.batches.find((batch) => batch.id === id)?.family ?? null,
      climate: edition.studio.climate ?? null,
      isDamp: isDamp.value,
    }
    const dryness = state && drynessOf(state, layerId.value, room, edition.record.touch ?? {})
    return dryness && { ...dryness, hours: (now.value - dryness.since) / 3600_000 }
  })
  return { told, isDamp }
}
