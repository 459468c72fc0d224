import { defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { changed, replacedWhere } from '../../ground/fold'
import { edition } from '../stream'

interface Answered {
  askId: string
  note: string
  /** What was asked for is given. */
  given: boolean
  /** Whoever asked does not need it any more. */
  takenBack: boolean
}

/** An ask is answered: given, not given, helped, or taken back. */
export const askAnswered = defineEvent(edition, 'ask-answered', (state, { askId, ...answer }: Answered, event) =>
  changed(state, {
    asks: replacedWhere(
      state.asks,
      ({ id }) => id === askId,
      (ask) => ({ ...ask, answer: { ...answer, ...whenOf(event), ...doerOf(event) } }),
    ),
  }),
)
