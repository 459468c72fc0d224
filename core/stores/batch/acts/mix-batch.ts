import { IsIn, Length } from 'class-validator'
import { IsColour } from '../../../ground/written'
import { Parts } from '../../../ground/shape'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { anyone } from '../../../ground/who'
import { type Component, Poured, weightOf } from '../../../ink/component'
import { inkFamilies, type InkFamily } from '../../../ink/family'
import { inkTaken } from '../../tub/events/ink-taken'
import { inkDrawn } from '../events/ink-drawn'
import { asPoured, pour, pouredFrom, withoutHeld } from '../pouring'
import { batch } from '../stream'

class Mix {
  static readonly sample: Mix = {
    name: 'slate',
    family: 'oil',
    colour: '#445566',
    components: [{ tubId: null, batchId: null, name: 'black', milligrams: 900 }],
  }

  @Length(1, 80) name!: string
  @IsIn(inkFamilies) family!: InkFamily
  @IsColour() colour!: string
  @Parts(() => Poured, 24, 1) components!: Poured[]
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
export const mixBatch = defineAct(batch, 'mix-batch', Mix, anyone, {
  begins: true,
  needs: (data) => pouredFrom(data),
  events: [batchMixed, inkTaken, inkDrawn],
  rule: (states, data) => {
    if (data.name.trim() === '') return refuse('name-missing', 'Give the batch a name to find it by.', 'name')
    const taken = pour(states, data)
    const components = asPoured(states.leftOvers, data)
    return 'refusal' in taken ? taken : [batchMixed.on(states.batch, { ...data, components }), ...taken]
  },
})
