import { defineEvent } from '../../../ground/act'
import { doerOf, whenOf } from '../../../ground/envelope'
import { changed } from '../../../ground/fold'
import type { Lain } from '../state'
import { rack } from '../stream'

type LaidIn = Pick<Lain, 'editionId' | 'title' | 'layerId' | 'layerName'> & {
  slots: Pick<Lain, 'slot' | 'sheetIds'>[]
}

/** A stack was laid into slots. */
export const laidIn = defineEvent(rack, 'laid-in', (state, { slots, ...what }: LaidIn, event) => {
  const more = slots.map((one): Lain => ({ ...what, ...one, ...whenOf(event), ...doerOf(event) }))
  const filled = new Set(slots.map(({ slot }) => slot))
  const lain = [...state.lain.filter(({ slot }) => !filled.has(slot)), ...more].sort((a, b) => a.slot - b.slot)
  return changed(state, { lain })
})
