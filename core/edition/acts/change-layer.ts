import { definePlainAct, defineEvent } from '../../ground/act'
import { editLayer } from '../edit'
import { layerOf, type StackOrder } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

interface LayerChanged {
  layerId: string
  name: string
  blocks: string[]
  routine: string
  stackOrder: StackOrder
}

const layerChanged = defineEvent(edition, 'layer-changed', (state, { layerId, ...said }: LayerChanged) =>
  editLayer(state, layerId, (layer) => ({ ...layer, ...said })),
)

/** A layer's name, blocks, routine or the order its stack comes in is put right. */
export const changeLayer = definePlainAct(edition, 'change-layer', theirs, {
  events: [layerChanged],
  rule: ({ edition }, data: LayerChanged) => {
    const layer = layerOf(edition, data.layerId)
    return layer ? [layerChanged.on(edition, { ...data, name: data.name.trim() || layer.name })] : unknownLayer()
  },
})
