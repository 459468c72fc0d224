import type { LedgerEvent } from '#core/ground/envelope'
import { eventColumns, toRow } from './events'
import type { Connections } from './connections'
import { putSummaries } from './summaries'
import type { Database, SummaryRow } from './tables'

/** What to write in the same transaction, for what lives beside the ledger (people). */
export type Beside = (db: Database) => Promise<unknown>

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
export async function storeGroup(db: Connections, { events, head, commands, summaries, beside }: Group): Promise<void> {
  const { writer } = db.prepared
  await writer.run('BEGIN IMMEDIATE')
  try {
    await writer.run(insertEvents, [JSON.stringify(events.map((event) => Object.values(toRow(event))))])
    await writer.run('INSERT INTO heads (position, head) VALUES ($1, $2)', [events.at(-1)!.position, head])
    await writer.run(insertCommands, [JSON.stringify(commands.map(({ id, bodyHash, reply }) => [id, bodyHash, reply]))])
    await putSummaries((sql, bind) => writer.run(sql, bind), summaries)
    for (const write of beside) await write(db.writer)
    await writer.run('COMMIT')
  } catch (error) {
    await writer.run('ROLLBACK').catch(() => undefined)
    throw error
  }
}
