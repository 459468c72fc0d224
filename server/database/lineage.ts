import { randomUUID } from 'node:crypto'
import { lastPosition } from './events'
import type { Database } from './tables'

/**
 * A ledger that was put back to an earlier state goes on as another: its events after that point carry numbers that once
 * belonged to others. Browsers tell by the lineage.
 */
export interface Lineage {
  id: string
  /** Position up to which it is the same as the one before. */
  from: number
}

export async function lineageOf({ about }: Database): Promise<Lineage> {
  const valueOf = async (name: string) => (await about.findByPk(name, { rejectOnEmpty: true })).get().value
  return { id: await valueOf('lineage'), from: Number(await valueOf('lineage-from')) }
}

/** From the events that are there now it goes on as another. */
export async function beginLineage(writer: Database): Promise<void> {
  const from = await lastPosition(writer)
  await writer.about.update({ value: randomUUID() }, { where: { name: 'lineage' } })
  await writer.about.update({ value: String(from) }, { where: { name: 'lineage-from' } })
}

/** What was made from events after the last that is there goes too: lists are built anew, and a tap of then sent again is new. */
export async function forgetBeyond(writer: Database, last: number): Promise<void> {
  await writer.summaries.truncate()
  await writer.query('DELETE FROM heads WHERE position > $1', { bind: [last] })
  await writer.query(`DELETE FROM commands WHERE reply ->> '$.position' > $1`, { bind: [last] })
}
