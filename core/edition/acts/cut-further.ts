import { definePlainAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { cutGate, dayGate } from '../gates'
import { editLayer } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirsInClass } from '../who'

interface Cut {
  layerId: string
}

const blockCutFurther = defineEvent(edition, 'block-cut-further', (state, { layerId }: Cut) =>
  editLayer(state, layerId, (layer) => ({ ...layer, cutFurther: true })),
)

/** The block of a reduction is cut to its next state: the point of no return for this layer. */
export const cutFurther = definePlainAct(edition, 'cut-further', theirsInClass, {
  guarded: true,
  events: [blockCutFurther],
  rule: ({ edition }, data: Cut, asker) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return unknownLayer()
    if (layer.withoutPull)
      return refuse('without-pull', `${layer.name} is laid without a press; there is no block of it to cut.`)
    return layer.cutFurther
      ? refuse('cut-already', 'This block has been cut further already.')
      : (dayGate(edition, asker) ?? cutGate(edition, layer, asker) ?? [blockCutFurther.on(edition, data)])
  },
})
