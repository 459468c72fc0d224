import { defineEvent } from '../../../ground/act'
import { doerOf, whenOf } from '../../../ground/envelope'
import { changed } from '../../../ground/fold'
import type { PressUse } from '../state'
import { press } from '../stream'

/** The press was set up for a layer. */
export const pressUsed = defineEvent(
  press,
  'press-used',
  (state, data: Omit<PressUse, 'at' | 'position' | 'by' | 'via'>, event) => {
    const use: PressUse = { ...data, ...whenOf(event), ...doerOf(event) }
    return changed(state, { standing: use, last: use })
  },
)
