import { defineAct, defineEvent } from '../../ground/act'
import { doerOf, streamId, whenOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { studio } from '../../stores/studio/stream'
import { TypedChargeSaid } from '../state'
import { account } from '../stream'

const chargeTyped = defineEvent(
  account,
  'charge-typed',
  (state, { chargeId, ...said }: TypedChargeSaid & { chargeId: string }, event) =>
    changed(state, {
      charges: appended(state.charges, { id: chargeId, ...said, ...whenOf(event), ...doerOf(event) }),
    }),
)

/** A charge is typed, or a credit. What was wrong is put right by another line, never by a change. */
export const typeCharge = defineAct(account, 'type-charge', TypedChargeSaid, staff, {
  needs: () => ({ room: studio.of() }),
  events: [chargeTyped],
  rule: ({ account, room }, data, { commandId }) => {
    if (room.people[streamId(account.stream)] === undefined)
      return refuse('unknown-person', 'Nobody of that name is in the pressroom. Choose a person.', 'personId')
    if (data.what.trim() === '') return refuse('what-missing', 'Say what it is for.', 'what')
    if (data.cents === 0) return refuse('nothing-charged', 'Say how much it is; below 0 is a credit.', 'cents')
    return [chargeTyped.on(account, { chargeId: commandId, ...data })]
  },
})
