import { SheetId, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { unknownSheet } from '../refusals'
import { sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class CameBack {
  static readonly sample: CameBack = { sheetId: 1, reason: 'back from loan' }

  @SheetId() sheetId!: number
  @Words(500) reason!: string
}

const printCameBack = defineEvent(edition, 'print-came-back', (state, { sheetId }: CameBack) =>
  editSheet(state, sheetId, (sheet) => ({ ...sheet, gone: null })),
)

/** A print is here again: it was on loan, was returned, or never left. */
export const takePrintBack = defineAct(edition, 'take-print-back', CameBack, theirs, {
  late: true,
  events: [printCameBack],
  rule: ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    if (!sheet.gone) return refuse('here', `Sheet ${sheet.id} is here.`, 'sheetId')
    return data.reason.trim() === ''
      ? reasonMissing('Say how it came back: from loan, returned, or put down by mistake.')
      : [printCameBack.on(edition, data)]
  },
})
