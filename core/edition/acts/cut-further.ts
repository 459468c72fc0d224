import { Id } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { cutGate, dayGate } from '../gates'
import { editLayer } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirsInClass } from '../who'

class Cut {
  static readonly sample: Cut = { layerId: 'l' }

  @Id('layer') layerId!: string
}

const blockCutFurther = defineEvent(edition, 'block-cut-further', (state, { layerId }: Cut) =>
  editLayer(state, layerId, (layer) => ({ ...layer, cutFurther: true })),
)

/** The block of a reduction is cut to its next state: the point of no return for this layer. */
export const cutFurther = defineAct(edition, 'cut-further', Cut, theirsInClass, {
  guarded: true,
  events: [blockCutFurther],
  rule: ({ edition }, data, asker) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return unknownLayer()
    if (layer.withoutPull)
      return refuse('without-pull', `${layer.name} is laid without a press; there is no block of it to cut.`)
    return layer.cutFurther
      ? refuse('cut-already', 'This block has been cut further already.')
      : (dayGate(edition, asker) ?? cutGate(edition, layer, asker) ?? [blockCutFurther.on(edition, data)])
  },
})
