import type { LedgerEvent } from '#core/ground/envelope'
import type { StoredReply } from '#shared/replies/replies'
import { eventColumns, toRow } from './events'
import type { Connections } from './connections'
import type { Prepared } from './prepared'
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

/** A command that was carried out before. */
export interface StoredCommand {
  /** Empty of one that came with an early studio file. */
  bodyHash: string
  reply: StoredReply
}

/** Of some commands those that were carried out before, by id. */
export async function storedCommands(db: Prepared, ids: readonly string[]): Promise<Map<string, StoredCommand>> {
  const found = await db.all<{ id: string; body_hash: string; reply: string }>(
    'SELECT id, body_hash, reply FROM commands WHERE id IN (SELECT value FROM json_each($1))',
    [JSON.stringify(ids)],
  )
  return new Map(found.map(({ id, body_hash, reply }) => [id, { bodyHash: body_hash, reply: JSON.parse(reply) }]))
}
