import { ArrayMaxSize, IsArray, IsIn, IsString, MaxLength } from 'class-validator'
import { Id, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { editLayer } from '../edit'
import { layerOf, type StackOrder, stackOrders } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class LayerChanged {
  static readonly sample: LayerChanged = {
    layerId: 'l',
    name: 'slate',
    blocks: [],
    routine: 'charge',
    stackOrder: 'reversed',
  }

  @Id('layer') layerId!: string
  @Words(80) name!: string
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) @MaxLength(60, { each: true }) blocks!: string[]
  @Words(500) routine!: string
  @IsIn(stackOrders) stackOrder!: StackOrder
}

const layerChanged = defineEvent(edition, 'layer-changed', (state, { layerId, ...said }: LayerChanged) =>
  editLayer(state, layerId, (layer) => ({ ...layer, ...said })),
)

/** A layer's name, blocks, routine or the order its stack comes in is put right. */
export const changeLayer = defineAct(edition, 'change-layer', LayerChanged, theirs, {
  events: [layerChanged],
  rule: ({ edition }, data) => {
    const layer = layerOf(edition, data.layerId)
    return layer ? [layerChanged.on(edition, { ...data, name: data.name.trim() || layer.name })] : unknownLayer()
  },
})
