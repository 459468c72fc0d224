import { definePlainAct, defineEvent } from '../../ground/act'
import { refuseFault } from '../../ground/refusal'
import { blendFault, type BlendPlan } from '../../ink/roll-up'
import { editLayer } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

interface Blend {
  layerId: string
  /** Null for one ink to a zone. */
  blend: BlendPlan | null
}

const blendPlanned = defineEvent(edition, 'blend-planned', (state, { layerId, blend }: Blend) =>
  editLayer(state, layerId, (layer) => ({ ...layer, blend })),
)

/** Inks are laid side by side on one roller, or no longer. */
export const planBlend = definePlainAct(edition, 'plan-blend', theirs, {
  events: [blendPlanned],
  rule: ({ edition }, data: Blend) => {
    if (!layerOf(edition, data.layerId)) return unknownLayer()
    const fault = data.blend === null ? null : blendFault(data.blend)
    return fault ? refuseFault('blend-unfit', fault) : [blendPlanned.on(edition, data)]
  },
})
