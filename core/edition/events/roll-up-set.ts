import { defineEvent } from '../../ground/act'
import type { RollUp } from '../../ink/roll-up'
import { editLayer } from '../edit'
import { edition } from '../stream'

interface RollUpSet {
  layerId: string
  rollUp: RollUp
}

/** How a layer is rolled up from here on. */
export const rollUpSet = defineEvent(
  edition,
  'roll-up-set',
  (state, { layerId, rollUp }: RollUpSet) => editLayer(state, layerId, (layer) => ({ ...layer, rollUp })),
  // How long ink stays open was not asked before.
  [(data) => ({ ...data, rollUp: { ...(data.rollUp as object), openMinutes: null } })],
)
