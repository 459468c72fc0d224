import { sheetLines } from '#core/edition/record'
import { csvOf } from '#shared/csv'
import { readEdition } from '../../../services/editions'
import { asking } from '../../../services/session'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const { state } = await readEdition(room, getRouterParam(event, 'id') ?? '')
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': 'attachment; filename="edition-sheets.csv"',
  })
  return csvOf(sheetLines(state))
})
