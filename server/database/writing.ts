import type { Sequelize } from 'sequelize'
import type { LedgerEvent } from '#core/ground/envelope'
import { eventColumns, toRow } from './events'
import { putSummaries, type SummaryRow } from './summaries'

/** A statement to run in the same transaction, for what lives beside the ledger (people). */
export interface Beside {
  sql: string
  bind: unknown[]
}

/** What one commit stores. */
export interface Group {
  events: LedgerEvent[]
  /** What the ledger hashes to with them. */
  head: string
  /** Ids of the commands with the hash of their body and their reply. */
  commands: { id: string; bodyHash: string; reply: string }[]
  summaries: SummaryRow[]
  beside: Beside[]
}

// Rows travel as one JSON text, so that each statement is the same for any number of them and is bound once.
const insertEvents = `INSERT INTO events (${eventColumns})
  SELECT ${eventColumns
    .split(', ')
    .map((_, i) => `value ->> ${i}`)
    .join(', ')} FROM json_each($1)`
const insertCommands = `INSERT INTO commands (id, body_hash, reply) SELECT value ->> 0, value ->> 1, value ->> 2 FROM json_each($1)`

/**
 * Store a group in one transaction, on the connection that writes. When it resolves the group is durable.
 * @throws what the database says; nothing of the group was stored then
 */
export async function storeGroup(
  writer: Sequelize,
  { events, head, commands, summaries, beside }: Group,
): Promise<void> {
  const insert = (sql: string, rows: unknown[][]) => writer.query(sql, { bind: [JSON.stringify(rows)] })
  await writer.query('BEGIN IMMEDIATE')
  try {
    await insert(
      insertEvents,
      events.map((event) => Object.values(toRow(event))),
    )
    await writer.query('INSERT INTO heads (position, head) VALUES ($1, $2)', { bind: [events.at(-1)!.position, head] })
    await insert(
      insertCommands,
      commands.map(({ id, bodyHash, reply }) => [id, bodyHash, reply]),
    )
    await putSummaries(writer, summaries)
    for (const { sql, bind } of beside) await writer.query(sql, { bind })
    await writer.query('COMMIT')
  } catch (error) {
    await writer.query('ROLLBACK').catch(() => undefined)
    throw error
  }
}
