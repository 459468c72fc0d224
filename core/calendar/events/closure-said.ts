import { defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { changed } from '../../ground/fold'
import { type Forgotten, withoutForgotten } from '../kept'
import type { ClosureSaid } from '../state'
import { calendar } from '../stream'

/** The room is closed, or somebody away, for some days. */
export const closureSaid = defineEvent(
  calendar,
  'closure-said',
  (
    state,
    { closureId, forgotten, ...said }: ClosureSaid & { closureId: string; source: string; forgotten?: Forgotten },
    event,
  ) => {
    const { closures, bookings } = withoutForgotten(state, forgotten)
    return changed(state, {
      bookings,
      closures: [
        ...closures.filter(({ id }) => id !== closureId),
        { id: closureId, ...said, ...whenOf(event), ...doerOf(event) },
      ],
    })
  },
)
