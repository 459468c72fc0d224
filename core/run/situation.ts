import { layerNumber, layerOf, setupInForce } from '../edition/layer'
import { isLive, newestPulls } from '../edition/pull'
import type { EditionState } from '../edition/state'
import type { Situation } from '../finder/factors'
import { blockOf } from './ink-need'

/** What the ledger knows of how a layer is printed, for the fault finder. */
export function situationOf(
  state: EditionState,
  layerId: string,
  known: Pick<Situation, 'family' | 'damp'> & {
    byHand: boolean | null
    /** Place in the ledger of the last wash at its press, or null. */
    washedAt: number | null
  },
): Situation {
  const layer = layerOf(state, layerId)
  const work = state.plan?.work
  const isHandWork = work === 'small hand work' || work === 'large hand work'
  const pulls = newestPulls(state, state.pulls.length, (pull) => isLive(pull) && pull.layerId === layerId)
  const { washedAt } = known
  // A wash in mid-run is told at the bench, one at a session's end by the station.
  const washed = state.adjustments.findLast((one) => one.layerId === layerId && !one.voided && one.kind === 'washed')
  const sinceSaid = washed ? pulls.filter(({ ordinal }) => ordinal > washed.afterPull).length : null
  const sinceSession = washedAt === null ? null : pulls.filter(({ position }) => position > washedAt).length
  return {
    family: known.family,
    byHand: known.byHand ?? (layer && setupInForce(layer) ? false : isHandWork),
    damp: known.damp,
    block: (layer && blockOf(state, layer)?.block.kind) ?? null,
    pulls: pulls.length,
    sinceWash:
      sinceSaid === null || sinceSession === null ? (sinceSaid ?? sinceSession) : Math.min(sinceSaid, sinceSession),
    layer: Math.max(1, layerNumber(state, layerId)),
    isStaying: false,
  }
}
