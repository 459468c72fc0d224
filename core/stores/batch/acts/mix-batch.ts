import { definePlainAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { anyone } from '../../../ground/who'
import { type Component, type Poured, weightOf } from '../../../ink/component'
import type { InkFamily } from '../../../ink/family'
import { inkTaken } from '../../tub/events/ink-taken'
import { inkDrawn } from '../events/ink-drawn'
import { asPoured, pour, pouredFrom, withoutHeld } from '../pouring'
import { batch } from '../stream'

interface Mix {
  name: string
  family: InkFamily
  colour: string
  components: Poured[]
}

interface Mixed extends Mix {
  components: Component[]
}

const batchMixed = defineEvent(
  batch,
  'batch-mixed',
  (state, data: Mixed) => {
    const mixed = weightOf(data.components)
    return changed(state, { ...data, mixed, left: mixed })
  },
  [
    (data) => ({
      ...data,
      components: (data.components as object[]).map((component) => ({ ...component, tubId: null, batchId: null })),
    }),
    withoutHeld,
  ],
)

/** Ink is mixed from tubs and left-overs. */
export const mixBatch = definePlainAct(batch, 'mix-batch', anyone, {
  begins: true,
  needs: (data: Mix) => pouredFrom(data),
  events: [batchMixed, inkTaken, inkDrawn],
  rule: (states, data: Mix) => {
    if (data.name.trim() === '') return refuse('name-missing', 'Give the batch a name to find it by.', 'name')
    const taken = pour(states, data)
    const components = asPoured(states.leftOvers, data)
    return 'refusal' in taken ? taken : [batchMixed.on(states.batch, { ...data, components }), ...taken]
  },
})
