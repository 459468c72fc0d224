import { definePlainAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { anyone } from '../../../ground/who'
import { type Component, type Poured, stirred, weightOf } from '../../../ink/component'
import { inkTaken } from '../../tub/events/ink-taken'
import { inkDrawn } from '../events/ink-drawn'
import { asPoured, heldIn, pour, pouredFrom, withoutHeld } from '../pouring'
import type { Addition } from '../state'
import { batch } from '../stream'

interface Added {
  components: Poured[]
  why: Addition
}

interface Stirred extends Added {
  components: Component[]
}

const inkAdded = defineEvent(
  batch,
  'ink-added',
  (state, { components, why }: Stirred, event) => {
    const milligrams = weightOf(components)
    return changed(state, {
      components: stirred(heldIn(state), components),
      mixed: state.mixed + milligrams,
      left: state.left + milligrams,
      additions: appended(state.additions, { milligrams, why, at: event.occurredAt }),
    })
  },
  [withoutHeld],
)

/** More is stirred into a batch that stands already. */
export const addInk = definePlainAct(batch, 'add-ink', anyone, {
  needs: (data: Added) => pouredFrom(data),
  events: [inkAdded, inkTaken, inkDrawn],
  rule: (states, data: Added) => {
    const taken = pour(states, data)
    const components = asPoured(states.leftOvers, data)
    return 'refusal' in taken ? taken : [inkAdded.on(states.batch, { ...data, components }), ...taken]
  },
})
