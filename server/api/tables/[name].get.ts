import { Readable } from 'node:stream'
import { failure } from '../../services/failure'
import { staffAsking } from '../../services/session'
import { tableCsv, type TableName, tableNames } from '../../services/tables'

/** Editions, sheets, impressions or stock of the whole room, as CSV. */
export default defineEventHandler(async (event) => {
  const { room } = await staffAsking(event)
  const name = (getRouterParam(event, 'name') ?? '').replace(/\.csv$/, '') as TableName
  if (!tableNames.includes(name))
    throw failure({ code: 'http-404', message: `There is no table “${name}”; there are ${tableNames.join(', ')}.` })
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': `attachment; filename="${name}.csv"`,
  })
  return sendStream(event, Readable.from(tableCsv(room, name)))
})
