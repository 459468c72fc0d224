import { layerOf, type PressSetup } from '../edition/layer'
import { isLive } from '../edition/pull'
import type { EditionState } from '../edition/state'
import { settingChanges } from '../press/compare'

/** A set-up a layer has had, what was pulled with it, and what is other now. */
export interface SetUpTold {
  seq: number
  setup: PressSetup
  good: number
  doubtful: number
  rejects: number
  /** What was changed since, up to the set-up in force; empty of that itself. */
  since: string[]
  isInForce: boolean
}

/** Every set-up of a layer side by side, the newest first: what changed since the good ones? */
export function setUpsOf(state: EditionState, layerId: string): SetUpTold[] {
  const setups = layerOf(state, layerId)?.setups ?? []
  const inForce = setups.at(-1)
  if (!inForce) return []
  return setups
    .map(({ seq, setup }) => {
      const pulls = state.pulls.filter(
        (pull) => pull.setupSeq === seq && pull.layerId === layerId && pull.kind === 'pull' && isLive(pull),
      )
      const of = (verdict: string) => pulls.filter((pull) => pull.verdict === verdict).length
      const press = setup.pressName === inForce.setup.pressName ? [] : [`${inForce.setup.pressName} instead`]
      return {
        seq,
        setup,
        good: of('good'),
        doubtful: of('doubtful'),
        rejects: of('reject'),
        since: [...press, ...settingChanges(setup, inForce.setup)],
        isInForce: seq === inForce.seq,
      }
    })
    .reverse()
}
