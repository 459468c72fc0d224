import { computed, type Ref } from 'vue'
import type { EditionState } from '#core/edition/state'
import { situationOf } from '#core/run/situation'
import { washedAt } from '#core/station/state'
import { useSupplies } from '~/stores/supplies'

/** How a layer is printed, out of its edition and the room's stores; null while there is no such layer. */
export function useSituation(state: Ref<EditionState | null>, layerId: Ref<string>) {
  const supplies = useSupplies()
  return computed(() => {
    const layer = state.value?.layers.find(({ id }) => id === layerId.value)
    if (!state.value || !layer) return null
    const lot = supplies.lots.find(({ id }) => id === state.value!.piece?.lotId)
    const pressId = layer.setups.at(-1)?.setup.pressId
    const station = supplies.stations.find(({ id }) => id === pressId)
    const batchId = layer.zones.find((zone) => zone.batchId)?.batchId
    return situationOf(state.value, layer.id, {
      family: supplies.batches.find(({ id }) => id === batchId)?.family ?? null,
      damp: lot?.damp ?? null,
      byHand: supplies.presses.find(({ id }) => id === pressId)?.kind === 'by hand' || null,
      washedAt: station ? washedAt(station) : null,
    })
  })
}
