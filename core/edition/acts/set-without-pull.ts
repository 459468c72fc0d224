import { IsBoolean } from 'class-validator'
import { Id } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { editLayer } from '../edit'
import { layerOf } from '../layer'
import { isBegun } from '../pull'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class WithoutPull {
  static readonly sample: WithoutPull = { layerId: 'l', withoutPull: true }

  @Id('layer') layerId!: string
  @IsBoolean() withoutPull!: boolean
}

const layerLaidOrPulled = defineEvent(edition, 'without-pull-set', (state, { layerId, withoutPull }: WithoutPull) =>
  editLayer(state, layerId, (layer) => ({ ...layer, withoutPull })),
)

/** A layer is laid on without a press, or is pulled after all: said before anything of it is on a sheet. */
export const setWithoutPull = defineAct(edition, 'set-without-pull', WithoutPull, theirs, {
  events: [layerLaidOrPulled],
  rule: ({ edition }, data) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return unknownLayer()
    if (layer.cutFurther)
      return refuse('cut-further', `The block of ${layer.name} has been cut further. Take that back first.`)
    return isBegun(edition, layer.id) || edition.sheets.some(({ laid }) => laid.includes(layer.id))
      ? refuse('begun', `${layer.name} is on sheets already. Take it off them first, or add a layer.`)
      : [layerLaidOrPulled.on(edition, data)]
  },
})
