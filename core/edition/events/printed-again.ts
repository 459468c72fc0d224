import { defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import { edition } from '../stream'

interface Again {
  editionId: string
  title: string
}

/** On the earlier edition: another was begun from its blocks. */
export const printedAgain = defineEvent(edition, 'printed-again', (state, data: Again, event) =>
  changed(state, { later: appended(state.later, { ...data, startedAt: event.occurredAt }) }),
)
