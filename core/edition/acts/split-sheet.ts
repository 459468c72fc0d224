import { SheetId } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { heldFast, unknownSheet } from '../refusals'
import { sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

interface Split {
  sheetId: number
  parts: number[]
}

/** A part of a split sheet keeps what the whole sheet went through. */
const sheetSplit = defineEvent(edition, 'sheet-split', (state, { sheetId, parts }: Split) => {
  const whole = sheetOf(state, sheetId)
  if (!whole) return state
  const split = editSheet(state, sheetId, (sheet) => ({ ...sheet, parts }))
  const halves = parts.map((id) => ({ ...whole, id, parts: [], cutFrom: whole.id }))
  return changed(split, { sheets: [...split.sheets, ...halves], made: split.made + parts.length - 1 })
})

class SplitSheet {
  static readonly sample: SplitSheet = { sheetId: 1 }

  @SheetId() sheetId!: number
}

/** A sheet is cut in two, each half going on by itself. */
export const splitSheet = defineAct(edition, 'split-sheet', SplitSheet, theirs, {
  events: [sheetSplit],
  rule: ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    if (sheet.parts.length > 0) return refuse('split', `Sheet ${sheet.id} has been split already.`)
    if (sheet.together.length > 0)
      return refuse('shares-paper', `Sheet ${sheet.id} shares its paper with others. Cut the piece apart first.`)
    if (sheet.rack && !sheet.rack.isOut)
      return refuse(
        'in-a-rack',
        `Sheet ${sheet.id} lies in slot ${sheet.rack.slot} of ${sheet.rack.rackName}. Take it out first.`,
      )
    const held = heldFast(sheet)
    if (held) return held
    const first = edition.sheets.length + 1
    return [sheetSplit.on(edition, { sheetId: sheet.id, parts: [first, first + 1] })]
  },
})
