import type { Layer } from './layer'
import { layersOn } from './layers-on'
import { isAlive, placeOf } from './places'
import { isLive, newestPulls } from './pull'
import { layerAtPress } from './stack'
import type { EditionState } from './state'

/** Sheets alive that carry a layer nobody has said is dry, by serial. */
export function undriedUnder(state: EditionState, layerId: string): number[] {
  return state.sheets
    .filter(
      (sheet) =>
        !sheet.dry.includes(layerId) && layersOn(state, sheet).includes(layerId) && isAlive(placeOf(state, sheet)),
    )
    .map(({ id }) => id)
}

/** The layer that dries: the topmost that nobody has said is dry on every sheet, else the one pulled last. */
export function layerDrying(state: EditionState): Layer | undefined {
  const wet = state.layers.findLast(({ id }) => undriedUnder(state, id).length > 0)
  if (wet) return wet
  const [newest] = newestPulls(state, 1, isLive)
  return state.layers.find(({ id }) => id === newest?.layerId) ?? layerAtPress(state)
}
