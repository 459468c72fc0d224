import { defineAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { anyone } from '../../../ground/who'
import { type Component, stirred, weightOf } from '../../../ink/component'
import { heldOf } from '../../../ink/recipe'
import { inkTaken } from '../../tub/events/ink-taken'
import { inkDrawn } from '../events/ink-drawn'
import { pour, pouredFrom } from '../pouring'
import type { Addition, BatchState } from '../state'
import { batch } from '../stream'

interface Added {
  components: Component[]
  why: Addition
}

/** What a batch still holds of each component: what was used took its share of every one along. */
function held({ components, left, mixed }: BatchState): Component[] {
  if (left === mixed) return components
  const weights = heldOf(
    components.map((component) => component.milligrams),
    left,
  )
  return components.map((component, i) => ({ ...component, milligrams: weights[i]! }))
}

const inkAdded = defineEvent(batch, 'ink-added', (state, { components, why }: Added, event) => {
  const milligrams = weightOf(components)
  return changed(state, {
    components: stirred(held(state), components),
    mixed: state.mixed + milligrams,
    left: state.left + milligrams,
    additions: appended(state.additions, { milligrams, why, at: event.occurredAt }),
  })
})

/** More is stirred into a batch that stands already. */
export const addInk = defineAct(batch, 'add-ink', anyone, {
  needs: (data: Added) => pouredFrom(data),
  events: [inkAdded, inkTaken, inkDrawn],
  rule: (states, data: Added) => {
    const taken = pour(states, data)
    return 'refusal' in taken ? taken : [inkAdded.on(states.batch, data), ...taken]
  },
})
