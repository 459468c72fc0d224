import { defineAct, defineEvent } from '../../ground/act'
import { doerOf, streamId, whenOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { studio } from '../../stores/studio/stream'
import { SettledSaid } from '../state'
import { account } from '../stream'

const statementSettled = defineEvent(
  account,
  'statement-settled',
  (state, { statementId, ...said }: SettledSaid & { statementId: string }, event) =>
    changed(state, {
      statements: appended(state.statements, { id: statementId, ...said, ...whenOf(event), ...doerOf(event) }),
    }),
)

/** What somebody owed for a span of time is settled. What the ledger says of it later is a line of its own. */
export const settleStatement = defineAct(account, 'settle-statement', SettledSaid, staff, {
  guarded: true,
  needs: () => ({ room: studio.of() }),
  events: [statementSettled],
  rule: ({ account, room }, data, { commandId }) => {
    if (room.people[streamId(account.stream)] === undefined)
      return refuse('unknown-person', 'Nobody of that name is in the pressroom. Choose a person.', 'personId')
    if (!(Date.parse(data.until) > Date.parse(data.from)))
      return refuse('ends-before', 'The last day is before the first one.', 'until')
    const known = new Set(account.statements.map(({ id }) => id))
    if (data.corrections.some(({ statementId }) => !known.has(statementId)))
      return refuse('unknown-statement', 'A statement it corrects was reopened. Look again.', 'corrections')
    return [statementSettled.on(account, { statementId: commandId, ...data })]
  },
})
