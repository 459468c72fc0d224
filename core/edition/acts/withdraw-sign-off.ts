import { Id, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed, replacedWhere } from '../../ground/fold'
import { reasonMissing, refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { edition } from '../stream'

class Withdrawn {
  static readonly sample: Withdrawn = { signOffId: 's', reason: 'the block was changed since' }

  @Id('signOff') signOffId!: string
  @Words(500) reason!: string
}

const signOffWithdrawn = defineEvent(edition, 'sign-off-withdrawn', (state, { signOffId, reason }: Withdrawn) =>
  changed(state, {
    signOffs: replacedWhere(
      state.signOffs,
      ({ id }) => id === signOffId,
      (one) => ({ ...one, withdrawn: reason }),
    ),
  }),
)

/** Good paper or a cut is no longer signed off. A press or solvents are taken from the person, not from one edition. */
export const withdrawSignOff = defineAct(edition, 'withdraw-sign-off', Withdrawn, staff, {
  events: [signOffWithdrawn],
  rule: ({ edition }, data) => {
    const one = edition.signOffs.find(({ id }) => id === data.signOffId)
    if (!one || one.withdrawn !== null)
      return refuse('not-signed-off', 'That is not signed off any more. Reload the page.', 'signOffId')
    if (one.what === 'press' || one.what === 'solvents')
      return refuse('lasting', 'Press and solvents belong to the person: take the leave back there.', 'signOffId')
    return data.reason.trim() === ''
      ? reasonMissing('Say why it no longer holds.')
      : [signOffWithdrawn.on(edition, data)]
  },
})
