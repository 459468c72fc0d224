import { defineStream } from '../ground/act'
import { changed } from '../ground/fold'
import { refuse } from '../ground/refusal'
import { emptyEdition, type EditionState } from './state'
import { follow } from './tally'

/** In an edition from before anyone was named, whoever does something on it prints it. */
const grown = ({ printersGrow, printerIds }: EditionState, actor: string): Partial<EditionState> =>
  printersGrow && !printerIds.includes(actor) ? { printerIds: [...printerIds, actor] } : {}

/** A print edition from its plan to its last signature. */
export const edition = defineStream('edition', emptyEdition, {
  gate: (state, act) => {
    if (act.begins) {
      return state.plan === null
        ? null
        : refuse('already-started', 'This edition has been started already. Open it from Editions.')
    }
    if (state.plan === null)
      return refuse('unknown-edition', 'There is no such edition here. Go back to Editions and open it from the list.')
    if (state.closedAt !== null && !act.late)
      return refuse(
        'closed',
        'This edition is closed and can only be read. Reopen it, with a reason, to change anything.',
      )
    return null
  },
  stamp: (state, event, before) =>
    follow(before, changed(state, { ...grown(state, event.actor), seq: event.seq, changedAt: event.occurredAt })),
})
