import {
  editionColumns,
  editionLine,
  impressionColumns,
  impressionLines,
  sheetColumns,
  sheetTable,
} from '#core/edition/table-lines'
import { stockColumns, stockLines } from '#core/stores/stock-lines'
import { csvOf } from '#shared/csv'
import type { BatchSummary, LotSummary, TubSummary } from '#shared/replies/replies'
import { allSummariesOf } from '../database/summaries'
import { editionsOf } from './every-edition'
import type { Pressroom } from './pressroom'

/** What the room gives out as a table, for any spreadsheet. */
export const tableNames = ['editions', 'sheets', 'impressions', 'stock'] as const
export type TableName = (typeof tableNames)[number]

async function* linesOf(room: Pressroom, table: TableName): AsyncGenerator<object[]> {
  const { db } = room
  if (table === 'stock') {
    yield stockLines(
      await allSummariesOf<LotSummary>(db.long, 'lot'),
      await allSummariesOf<TubSummary>(db.long, 'tub'),
      await allSummariesOf<BatchSummary>(db.long, 'batch'),
    )
    return
  }
  const inks = new Map((await allSummariesOf<BatchSummary>(db.long, 'batch')).map(({ id, name }) => [id, name]))
  const nameOf = (id: string) => room.people.get(id)?.name ?? id
  for await (const state of editionsOf(room)) {
    if (table === 'editions') yield [editionLine(state)]
    else if (table === 'sheets') yield sheetTable(state)
    else yield impressionLines(state, nameOf, (id) => inks.get(id) ?? id)
  }
}

const columnsOf: Record<TableName, readonly string[]> = {
  editions: editionColumns,
  sheets: sheetColumns,
  impressions: impressionColumns,
  stock: stockColumns,
}

/** A table as CSV (RFC 4180), in pieces, its columns named also where nothing stands in it. Cells a spreadsheet would run as a formula are led by an apostrophe. */
export async function* tableCsv(room: Pressroom, table: TableName): AsyncGenerator<string> {
  const columns = [...columnsOf[table]]
  yield `${columns.join(',')}\r\n`
  for await (const lines of linesOf(room, table))
    if (lines.length > 0) yield `${csvOf(lines, { columns, header: false })}\r\n`
}
