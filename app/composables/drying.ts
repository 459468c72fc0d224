import { computed, type Ref } from 'vue'
import { conditionsOf } from '#core/edition/dries'
import { layerOf } from '#core/edition/layer'
import { isLive } from '#core/edition/pull'
import { type Drying, dryingOf, factorOf, touchKey, addTouch } from '#core/drying/moments'
import { touchRecordOf } from '#core/edition/touch-tests'
import { useEdition } from '~/stores/edition'
import { useSupplies } from '~/stores/supplies'

/** When a layer is fit for what, from its last pull, the room's air and its touch tests; null while nothing was pulled. */
export function useDrying(layerId: Ref<string>, now: Ref<number>) {
  const edition = useEdition()
  const supplies = useSupplies()

  const isDamp = computed(() => supplies.lots.find(({ id }) => id === edition.state?.piece?.lotId)?.damp ?? false)
  const told = computed(() => {
    const { state } = edition
    const layer = state && layerOf(state, layerId.value)
    const last = state?.pulls.findLast((pull) => pull.layerId === layerId.value && isLive(pull))
    if (!state || !layer || !last) return null
    const by = conditionsOf(state, layer, {
      familyOf: (id) => supplies.batches.find((batch) => batch.id === id)?.family ?? null,
      climate: edition.studio.climate ?? null,
      isDamp: isDamp.value,
    })
    const record = addTouch(edition.record.touch ?? {}, touchRecordOf(state))[touchKey(by.family, by.paper)]
    const since = Date.parse(last.at)
    const drying: Drying = dryingOf(by, factorOf(record))
    return { by, drying, since, hours: (now.value - since) / 3600_000, tests: record?.tests ?? 0 }
  })
  return { told, isDamp }
}
