import { isOpenWork } from '../print/series'
import { layerNumber } from './layer'
import { countedPullsOn } from './pull'
import type { Sheet } from './sheet'
import type { EditionState } from './state'

/** Ids of the layers that are on a sheet, pulled or laid, from the first. */
export function layersOn(state: EditionState, sheet: Sheet): string[] {
  const pulled = countedPullsOn(state, sheet)
    .filter((pull) => pull.kind === 'pull')
    .map((pull) => pull.layerId)
  // In open work a piece takes a layer as often as it likes.
  const on = isOpenWork(state.plan) ? [...new Set(pulled)] : pulled
  if (sheet.laid.length === 0) return on
  return [...on, ...sheet.laid].sort((a, b) => layerNumber(state, a) - layerNumber(state, b))
}

export function hasEveryLayer(state: EditionState, sheet: Sheet): boolean {
  return isComplete(state, layersOn(state, sheet))
}

/** True when those are all the layers of the edition. */
export function isComplete({ layers }: Pick<EditionState, 'layers'>, on: readonly string[]): boolean {
  return layers.length > 0 && layers.every((layer) => on.includes(layer.id))
}

/** True when a later layer than that one is on a sheet, proofs too: nothing beneath it can be taken off. */
export function carriesLater(state: EditionState, sheet: Sheet, number: number): boolean {
  const isLater = (id: string) => layerNumber(state, id) > number
  return sheet.laid.some(isLater) || countedPullsOn(state, sheet).some(({ layerId }) => isLater(layerId))
}
