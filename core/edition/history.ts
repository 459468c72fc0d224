import { type Layer, layerNumber } from './layer'
import { isAlive, placeOf } from './places'
import { isLive, countedPullsOn, type Pull } from './pull'
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
 * The history of a sheet as far as anybody can be sure of it (craft.md, step 13): unmarked sheets that came to a layer in any
 * order had their earlier pulls counted right, but on which of them each lies nobody knows. A sheet that was taken out
 * before is known.
 */
export function historyOf(state: EditionState, sheet: Sheet): SheetHistory {
  const pulls = countedPullsOn(state, sheet)
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

/**
 * Which kind of print a sheet is where a block was cleared further in mid-run (craft.md, step 9): “before” or “after the block
 * was cleared”, of the first layer that has both kinds; empty where there is only one. The last before is marked so.
 */
export function kindOf(state: EditionState, pulls: readonly Pull[]): string {
  for (const pull of pulls) {
    const cleared = state.adjustments.filter(
      (one) => one.layerId === pull.layerId && one.kind === 'cleared' && !one.voided,
    )
    if (cleared.length === 0 || pull.kind !== 'pull') continue
    const times = cleared.filter(({ afterPull }) => afterPull < pull.ordinal).length
    const next = cleared[times]
    const last =
      next && state.pulls.findLast((other) => other.ordinal <= next.afterPull && isPrint(other, pull.layerId))
    if (times > 0) return cleared.length > 1 ? `after clearing ${times}` : 'after the block was cleared'
    return last?.pullId === pull.pullId ? 'the last before the block was cleared' : 'before the block was cleared'
  }
  return ''
}

const isPrint = (pull: Pull, layerId: string) => pull.layerId === layerId && pull.kind === 'pull' && isLive(pull)

/** It waits in that stack, unmarked among the others. */
function reachesMixed(state: EditionState, sheet: Sheet, layer: Layer, pulls: readonly Pull[]): boolean {
  const reached = Math.max(0, ...pulls.map(({ layerId }) => layerNumber(state, layerId)))
  return reached === layerNumber(state, layer.id) - 1 && !sheet.mark && isAlive(placeOf(state, sheet))
}
