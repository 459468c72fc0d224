import { randomUUID } from 'node:crypto'
import type { Sequelize } from 'sequelize'
import { rows } from './connections'
import { lastPosition } from './events'

/**
 * A ledger that was put back to an earlier state goes on as another: its events after that point carry numbers that once
 * belonged to others. Browsers tell by the lineage.
 */
export interface Lineage {
  id: string
  /** Position up to which it is the same as the one before. */
  from: number
}

export async function lineageOf(db: Sequelize): Promise<Lineage> {
  const found = await rows<{ name: string; value: string }>(
    db,
    `SELECT name, value FROM about WHERE name IN ('lineage', 'lineage-from')`,
  )
  const valueOf = (name: string) => found.find((row) => row.name === name)!.value
  return { id: valueOf('lineage'), from: Number(valueOf('lineage-from')) }
}

/** From the events that are there now it goes on as another. */
export async function beginLineage(writer: Sequelize): Promise<void> {
  const from = await lastPosition(writer)
  const set = (name: string, value: string) =>
    writer.query('UPDATE about SET value = $1 WHERE name = $2', { bind: [value, name] })
  await set('lineage', randomUUID())
  await set('lineage-from', String(from))
}
