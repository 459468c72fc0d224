import { SheetId, Words } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { sheetSpoiled } from '../events/sheet-spoiled'
import { heldFast, unknownFault, unknownSheet } from '../refusals'
import { sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class Spoil {
  static readonly sample: Spoil = { sheetId: 1, fault: 'handling', reason: '' }

  @SheetId() sheetId!: number
  @Words(20) fault!: string
  @Words(500) reason!: string
}

/** A sheet is lost: racked badly, dropped, cut wrong. */
export const spoilSheet = defineAct(edition, 'spoil-sheet', Spoil, theirs, {
  events: [sheetSpoiled],
  rule: ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    if (sheet.spoiled) return refuse('spoiled', `Sheet ${sheet.id} is spoiled already.`)
    if (sheet.parts.length > 0) return refuse('split', `Sheet ${sheet.id} has been split; choose one of its parts.`)
    const held = heldFast(sheet)
    if (held) return held
    return unknownFault([data.fault], 'fault') ?? [sheetSpoiled.on(edition, data)]
  },
})
