import { Id, Part } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { DryingSaid } from '../../drying/moments'
import { editLayer } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class DryingSet {
  static readonly sample: DryingSet = { layerId: 'l', drying: { paper: 'hard', stillAir: true, drier: false } }

  @Id('layer') layerId!: string
  @Part(() => DryingSaid) drying!: DryingSaid
}

const dryingSet = defineEvent(edition, 'drying-set', (state, { layerId, drying }: DryingSet) =>
  editLayer(state, layerId, (layer) => ({ ...layer, drying })),
)

/** On what paper, in what air, with or without a drier a layer dries. */
export const setDrying = defineAct(edition, 'set-drying', DryingSet, theirs, {
  events: [dryingSet],
  rule: ({ edition }, data) => (layerOf(edition, data.layerId) ? [dryingSet.on(edition, data)] : unknownLayer()),
})
