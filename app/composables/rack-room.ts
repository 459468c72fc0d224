import { computed, type Ref } from 'vue'
import { piecesUnder } from '#core/edition/sheet'
import { stackFor } from '#core/edition/stack'
import type { Layer } from '#core/edition/layer'
import { roomIn } from '#core/stores/rack/state'
import { pluralise } from '#core/units/pluralise'
import { useEdition } from '~/stores/edition'
import { useSupplies } from '~/stores/supplies'

/** What is said before a run when the racks cannot take it; empty when they can, or when no rack is known. */
export function useRackRoom(layer: Ref<Layer | undefined>) {
  const edition = useEdition()
  const supplies = useSupplies()
  return computed(() => {
    if (!edition.state || !layer.value || supplies.racks.length === 0) return ''
    const stack = stackFor(edition.state, layer.value)
    const pieces = piecesUnder(stack)
    const free = roomIn(supplies.racks)
    if (pieces <= free) return ''
    return `The racks have ${free === 0 ? 'no place' : pluralise(free, 'place')} for the ${pieces} to come: make room first.`
  })
}
