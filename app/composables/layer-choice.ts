import { computed, ref } from 'vue'
import { layerAtPress } from '#core/edition/stack'
import { type Layer, layerOf } from '#core/edition/layer'
import type { EditionState } from '#core/edition/state'
import { useEdition } from '~/stores/edition'

/** The layer a page is about: the one chosen, else the one at the press, or what the page is about instead. */
export function useLayerChoice(wanted = '', usual: (state: EditionState) => Layer | undefined = layerAtPress) {
  const edition = useEdition()
  const picked = ref(wanted)
  const layerId = computed({
    get: () => {
      const layers = edition.state?.layers ?? []
      if (layers.some((layer) => layer.id === picked.value)) return picked.value
      return (edition.state && usual(edition.state)?.id) ?? ''
    },
    set: (id: string) => {
      picked.value = id
    },
  })
  const layer = computed(() => (edition.state ? layerOf(edition.state, layerId.value) : undefined))
  return { layerId, layer }
}
