import { SheetId, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { unknownSheet } from '../refusals'
import { sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class Recovered {
  static readonly sample: Recovered = { sheetId: 1, reason: 'x' }

  @SheetId() sheetId!: number
  @Words(500) reason!: string
}

const sheetRecovered = defineEvent(edition, 'sheet-recovered', (state, { sheetId }: Recovered) =>
  editSheet(state, sheetId, (sheet) => ({ ...sheet, spoiled: null })),
)

/** A sheet marked spoiled is good after all. */
export const recoverSheet = defineAct(edition, 'recover-sheet', Recovered, theirs, {
  events: [sheetRecovered],
  rule: ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    if (!sheet.spoiled) return refuse('not-spoiled', `Sheet ${sheet.id} is not marked spoiled.`)
    return data.reason.trim() === ''
      ? reasonMissing('Say why the sheet is good after all.')
      : [sheetRecovered.on(edition, data)]
  },
})
