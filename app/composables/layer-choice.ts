import { computed, ref } from 'vue'
import { layerAtPress } from '#core/edition/stack'
import { layerOf } from '#core/edition/layer'
import { useEdition } from '~/stores/edition'

/** The layer a page is about: the one chosen, else the one at the press. */
export function useLayerChoice(wanted = '') {
  const edition = useEdition()
  const picked = ref(wanted)
  const layerId = computed({
    get: () => {
      const layers = edition.state?.layers ?? []
      if (layers.some((layer) => layer.id === picked.value)) return picked.value
      return (edition.state && layerAtPress(edition.state)?.id) ?? ''
    },
    set: (id: string) => {
      picked.value = id
    },
  })
  const layer = computed(() => (edition.state ? layerOf(edition.state, layerId.value) : undefined))
  return { layerId, layer }
}
