import Papa from 'papaparse'
import { sheetLines } from '#core/edition/record'
import { readEdition } from '../../../services/editions'
import { asking } from '../../../services/session'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const { state } = await readEdition(room, getRouterParam(event, 'id') ?? '')
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': 'attachment; filename="edition-sheets.csv"',
  })
  // Spreadsheets run cells that begin like a formula; escapeFormulae keeps a title such as “=1+1” a title.
  return Papa.unparse(sheetLines(state), { escapeFormulae: true })
})
