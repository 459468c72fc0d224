import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { anyone } from '../../ground/who'
import { type EditionPlan, planDefaults } from '../../plan/plan'
import { layerAdded } from '../events/layer-added'
import { wholeBlock } from '../layer'
import { planFault } from '../plan-fault'
import { edition } from '../stream'

interface Started {
  title: string
  plan: EditionPlan
}

const editionStarted = defineEvent(
  edition,
  'edition-started',
  (state, { title, plan }: Started, event) => changed(state, { title, plan, startedAt: event.occurredAt }),
  [(data) => ({ ...data, plan: { ...planDefaults, ...(data.plan as object) } })],
)

/** An edition begins: a title, a plan, and its layers when they are planned ahead. */
export const startEdition = defineAct(edition, 'start-edition', anyone, {
  begins: true,
  events: [editionStarted, layerAdded],
  rule: ({ edition }, { title, plan }: Started, context) => {
    const layers = plan.layering === 'ahead' ? plan.layersPlanned : 1
    return (
      planFault(title, plan) ?? [
        editionStarted.on(edition, { title: title.trim(), plan }),
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
