import { type Layer, layerNumber } from './layer'
import { isAlive, placeOf } from './places'
import { livePullsOn, type Pull } from './pull'
import type { Sheet } from './sheet'
import type { EditionState } from './state'

/** What can be said of one sheet's pulls. */
export interface SheetHistory {
  /** Pulls that this very sheet met, oldest first. */
  pulls: Pull[]
  /** The layer its stack came to unmarked and mixed: what was pulled before may be another sheet's. Null when all is sure. */
  mixedBefore: Layer | null
}

/**
 * The history of a sheet as far as anybody can be sure of it (CRAFT step 13): unmarked sheets that came to a layer in any
 * order had their earlier pulls counted right, but on which of them each lies nobody knows. A sheet that was taken out
 * before is known.
 */
export function historyOf(state: EditionState, sheet: Sheet): SheetHistory {
  const pulls = livePullsOn(state, sheet)
  const mixed = state.layers.findLast(
    (layer) =>
      layer.stackOrder === 'mixed' &&
      layerNumber(state, layer.id) > 1 &&
      (pulls.some((pull) => pull.layerId === layer.id) || reachesMixed(state, sheet, layer, pulls)),
  )
  if (!mixed) return { pulls, mixedBefore: null }
  const from = layerNumber(state, mixed.id)
  return { pulls: pulls.filter(({ layerId }) => layerNumber(state, layerId) >= from), mixedBefore: mixed }
}

/** It waits in that stack, unmarked among the others. */
function reachesMixed(state: EditionState, sheet: Sheet, layer: Layer, pulls: readonly Pull[]): boolean {
  const reached = Math.max(0, ...pulls.map(({ layerId }) => layerNumber(state, layerId)))
  return reached === layerNumber(state, layer.id) - 1 && !sheet.mark && isAlive(placeOf(state, sheet))
}
