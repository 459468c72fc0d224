import { Part, Words } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { anyone } from '../../ground/who'
import { EditionPlan } from '../../plan/plan'
import { editionStarted } from '../events/edition-started'
import { layerAdded } from '../events/layer-added'
import { wholeBlock } from '../layer'
import { planFault } from '../plan-fault'
import { edition } from '../stream'

class Asked {
  static readonly sample: Asked = { title: 'Tide Gauge', plan: EditionPlan.sample }

  @Words(120) title!: string
  @Part(() => EditionPlan) plan!: EditionPlan
}

/** An edition begins: a title, a plan, and its layers when they are planned ahead. It is theirs who begins it. */
export const startEdition = defineAct(edition, 'start-edition', Asked, anyone, {
  begins: true,
  events: [editionStarted, layerAdded],
  rule: ({ edition }, { title, plan }, context) => {
    const layers = plan.layering === 'ahead' ? plan.layersPlanned : 1
    return (
      planFault(title, plan) ?? [
        editionStarted.on(edition, { title: title.trim(), plan, printerIds: [context.personId] }),
        ...Array.from({ length: layers }, (_, i) =>
          layerAdded.on(edition, {
            layerId: `${context.commandId}-${i + 1}`,
            name: `Layer ${i + 1}`,
            blocks: [],
            zones: [wholeBlock()],
          }),
        ),
      ]
    )
  },
})
