import { Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import { reasonMissing, refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { edition } from '../stream'

class Reopened {
  static readonly sample: Reopened = { reason: 'x' }

  @Words(500) reason!: string
}

const editionReopened = defineEvent(edition, 'edition-reopened', (state, { reason }: Reopened, event) =>
  changed(state, {
    closedAt: null,
    reopenings: appended(state.reopenings, { reason, at: event.occurredAt }),
  }),
)

/** A closed edition is opened again; that is recorded. */
export const reopen = defineAct(edition, 'reopen', Reopened, staff, {
  asksAgain: true,
  guarded: true,
  late: true,
  events: [editionReopened],
  rule: ({ edition }, data) => {
    if (edition.closedAt === null) return refuse('not-closed', 'This edition is open.')
    return data.reason.trim() === ''
      ? reasonMissing('Say why the edition is reopened, so that the record can be read later.')
      : [editionReopened.on(edition, data)]
  },
})
