import { Id, Part } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { refuse, refuseFault } from '../../ground/refusal'
import { RollUp, rollUpFault } from '../../ink/roll-up'
import { rollUpSet } from '../events/roll-up-set'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class RollUpSet {
  static readonly sample: RollUpSet = { layerId: 'l', rollUp: RollUp.sample }

  @Id('layer') layerId!: string
  @Part(() => RollUp) rollUp!: RollUp
}

/** How a layer is rolled up: roller, charges, passes, wiping, chores. */
export const setRollUp = defineAct(edition, 'set-roll-up', RollUpSet, theirs, {
  events: [rollUpSet],
  rule: ({ edition }, data) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return unknownLayer()
    if (data.rollUp.zones.some((zone) => !layer.zones.some((known) => known.id === zone.zoneId)))
      return refuse(
        'unknown-zone',
        'A zone was taken out meanwhile. Reload the page and give its share again.',
        'zones',
      )
    const fault = rollUpFault(data.rollUp)
    return fault ? refuseFault('roll-up-unfit', fault) : [rollUpSet.on(edition, data)]
  },
})
