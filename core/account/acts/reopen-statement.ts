import { Id, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { reasonMissing, refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { account } from '../stream'

class Reopened {
  static readonly sample: Reopened = { statementId: 's', reason: 'paid by somebody else' }

  @Id('statement') statementId!: string
  @Words(500) reason!: string
}

const statementReopened = defineEvent(account, 'statement-reopened', (state, { statementId }: Reopened) =>
  changed(state, { statements: state.statements.filter(({ id }) => id !== statementId) }),
)

/** It was not settled after all: its lines are open again. */
export const reopenStatement = defineAct(account, 'reopen-statement', Reopened, staff, {
  events: [statementReopened],
  rule: ({ account }, data) => {
    if (!account.statements.some(({ id }) => id === data.statementId))
      return refuse('unknown-statement', 'That statement is open already.', 'statementId')
    if (account.statements.some(({ corrections }) => corrections.some((one) => one.statementId === data.statementId)))
      return refuse(
        'corrected-since',
        'A later statement settles a correction of it. Reopen that one first.',
        'statementId',
      )
    if (data.reason.trim() === '') return reasonMissing('Say why it is open again.')
    return [statementReopened.on(account, data)]
  },
})
