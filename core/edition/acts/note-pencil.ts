import { SheetId, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class Noted {
  static readonly sample: Noted = { sheetId: 1, note: 'a 7 rubbed out and written again' }

  @SheetId() sheetId!: number
  @Words(500) note!: string
}

const pencilNoted = defineEvent(edition, 'pencil-noted', (state, { sheetId, note }: Noted) =>
  editSheet(state, sheetId, (sheet) => ({
    ...sheet,
    pencilNote: note,
    // Put right, it says what the series says now.
    pencilledOver: sheet.pencilledOver === null ? null : (state.seriesSize[sheet.mark!.series] ?? null),
  })),
)

/** The pencil slipped, and what was done about it: the print keeps its number, the record keeps the trace. */
export const notePencil = defineAct(edition, 'note-pencil', Noted, theirs, {
  events: [pencilNoted],
  rule: ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet?.mark || sheet.destroyed)
      return refuse('no-number', `Sheet ${data.sheetId} carries no number that could have been miswritten.`, 'sheetId')
    return data.note.trim() === ''
      ? reasonMissing('Say what was written and how it was put right: rubbed out and written again, for instance.')
      : [pencilNoted.on(edition, data)]
  },
})
