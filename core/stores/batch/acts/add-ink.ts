import { IsIn } from 'class-validator'
import { Parts } from '../../../ground/shape'
import { defineAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { anyone } from '../../../ground/who'
import { type Component, Poured, stirred, weightOf } from '../../../ink/component'
import { inkTaken } from '../../tub/events/ink-taken'
import { inkDrawn } from '../events/ink-drawn'
import { asPoured, heldIn, pour, pouredFrom, withoutHeld } from '../pouring'
import { type Addition, additions } from '../state'
import { batch } from '../stream'

class Added {
  static readonly sample: Added = {
    components: [{ tubId: 't', batchId: null, name: 'light oil', milligrams: 90 }],
    why: 'loosened',
  }

  @Parts(() => Poured, 24, 1) components!: Poured[]
  @IsIn(additions) why!: Addition
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
export const addInk = defineAct(batch, 'add-ink', Added, anyone, {
  needs: (data) => pouredFrom(data),
  events: [inkAdded, inkTaken, inkDrawn],
  rule: (states, data) => {
    const taken = pour(states, data)
    const components = asPoured(states.leftOvers, data)
    return 'refusal' in taken ? taken : [inkAdded.on(states.batch, { ...data, components }), ...taken]
  },
})
