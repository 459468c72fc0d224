import {
  addTouch,
  type Drying,
  dryingOf,
  type DryingConditions,
  factorOf,
  touchKey,
  type TouchRecord,
} from '../drying/moments'
import { conditionsOf, type DryingRoom } from '../edition/dries'
import { layerOf } from '../edition/layer'
import { isLive } from '../edition/pull'
import type { EditionState } from '../edition/state'
import { touchRecordOf } from '../edition/touch-tests'

/** How a layer that was pulled dries, and since when. */
export interface Dryness {
  by: DryingConditions
  drying: Drying
  /** Its last pull, ms. */
  since: number
  /** Touch tests of this ink on such paper that the room has made. */
  tests: number
}

/**
 * When a layer is fit for what, from its last pull, the room's air and its touch tests; null while nothing was pulled.
 * @param touch touch tests of the other editions
 */
export function drynessOf(
  state: EditionState,
  layerId: string,
  room: DryingRoom,
  touch: Readonly<Record<string, TouchRecord>>,
): Dryness | null {
  const layer = layerOf(state, layerId)
  const last = state.pulls.findLast((pull) => pull.layerId === layerId && isLive(pull))
  if (!layer || !last) return null
  const by = conditionsOf(state, layer, room)
  const record = addTouch(touch, touchRecordOf(state))[touchKey(by.family, by.paper)]
  return { by, drying: dryingOf(by, factorOf(record)), since: Date.parse(last.at), tests: record?.tests ?? 0 }
}
