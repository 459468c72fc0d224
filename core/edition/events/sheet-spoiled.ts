import { defineEvent } from '../../ground/act'
import { editSheet } from '../edit'
import { edition } from '../stream'

interface Spoiled {
  sheetId: number
  fault: string
  reason: string
}

/** A sheet will never be numbered: torn wrong, dropped, dented. It stays on the books. */
export const sheetSpoiled = defineEvent(edition, 'sheet-spoiled', (state, { sheetId, fault, reason }: Spoiled) =>
  editSheet(state, sheetId, (sheet) => ({ ...sheet, spoiled: { fault, reason } })),
)
