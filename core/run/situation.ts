import { layerNumber, layerOf, setupInForce } from '../edition/layer'
import { isLive, newestPulls } from '../edition/pull'
import type { EditionState } from '../edition/state'
import type { Situation } from '../finder/factors'
import type { InkFamily } from '../ink/family'
import { blockOf } from './ink-need'

/** What the ledger knows of how a layer is printed, for the fault finder. */
export function situationOf(
  state: EditionState,
  layerId: string,
  known: { family: InkFamily | null; damp: boolean | null; byHand: boolean | null },
): Situation {
  const layer = layerOf(state, layerId)
  const work = state.plan?.work
  const isHandWork = work === 'small hand work' || work === 'large hand work'
  const pulls = newestPulls(state, state.pulls.length, (pull) => isLive(pull) && pull.layerId === layerId).length
  return {
    family: known.family,
    byHand: known.byHand ?? (layer && setupInForce(layer) ? false : isHandWork),
    damp: known.damp,
    block: (layer && blockOf(state, layer)?.block.kind) ?? null,
    pulls,
    sinceWash: null,
    layer: Math.max(1, layerNumber(state, layerId)),
    isStaying: false,
  }
}
