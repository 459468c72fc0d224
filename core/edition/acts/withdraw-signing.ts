import { SheetId, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { editSheet } from '../edit'
import { isGone } from '../refusals'
import { sheetOf } from '../sheet'
import { edition } from '../stream'

class Withdrawn {
  static readonly sample: Withdrawn = { sheetId: 1, reason: 'x' }

  @SheetId() sheetId!: number
  @Words(500) reason!: string
}

const signingWithdrawn = defineEvent(edition, 'signing-withdrawn', (state, { sheetId }: Withdrawn) =>
  editSheet(state, sheetId, (sheet) => ({ ...sheet, signed: false, signing: null, pencilledOver: null })),
)

/** A print was ticked off and is not signed. */
export const withdrawSigning = defineAct(edition, 'withdraw-signing', Withdrawn, staff, {
  events: [signingWithdrawn],
  rule: ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet?.signed || sheet.destroyed)
      return refuse('not-signed', `Sheet ${data.sheetId} is not signed.`, 'sheetId')
    if (sheet.gone) return isGone(sheet, sheet.gone)
    return data.reason.trim() === ''
      ? reasonMissing('Say why the tick is taken back, so that the record can be read later.')
      : [signingWithdrawn.on(edition, data)]
  },
})
