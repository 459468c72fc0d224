import { Id, OrNull, Part } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuseFault } from '../../ground/refusal'
import { blendFault, BlendPlan } from '../../ink/roll-up'
import { editLayer } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class Blend {
  static readonly sample: Blend = {
    layerId: 'l',
    blend: {
      stripes: [
        { batchId: 'b', at: 0.2 },
        { batchId: 'c', at: 0.8 },
      ],
      blend: 0.3,
      widening: 0.01,
      freshAfter: 12,
      avoid: 'green',
      severalDirections: false,
      thickness: 8,
    },
  }

  @Id('layer') layerId!: string
  /** Null for one ink to a zone. */
  @OrNull() @Part(() => BlendPlan) blend!: BlendPlan | null
}

const blendPlanned = defineEvent(edition, 'blend-planned', (state, { layerId, blend }: Blend) =>
  editLayer(state, layerId, (layer) => ({ ...layer, blend })),
)

/** Inks are laid side by side on one roller, or no longer. */
export const planBlend = defineAct(edition, 'plan-blend', Blend, theirs, {
  events: [blendPlanned],
  rule: ({ edition }, data) => {
    if (!layerOf(edition, data.layerId)) return unknownLayer()
    const fault = data.blend === null ? null : blendFault(data.blend)
    return fault ? refuseFault('blend-unfit', fault) : [blendPlanned.on(edition, data)]
  },
})
