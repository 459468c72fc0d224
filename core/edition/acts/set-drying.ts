import { definePlainAct, defineEvent } from '../../ground/act'
import type { DryingSaid } from '../../drying/moments'
import { editLayer } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

interface DryingSet {
  layerId: string
  drying: DryingSaid
}

const dryingSet = defineEvent(edition, 'drying-set', (state, { layerId, drying }: DryingSet) =>
  editLayer(state, layerId, (layer) => ({ ...layer, drying })),
)

/** On what paper, in what air, with or without a drier a layer dries. */
export const setDrying = definePlainAct(edition, 'set-drying', theirs, {
  events: [dryingSet],
  rule: ({ edition }, data: DryingSet) =>
    layerOf(edition, data.layerId) ? [dryingSet.on(edition, data)] : unknownLayer(),
})
