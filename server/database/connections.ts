import { join } from 'node:path'
import { QueryTypes, type Sequelize } from 'sequelize'
import { Prepared } from './prepared'
import { Database } from './tables'

/** A database file that cannot be used, with what to do about it. */
export class DatabaseUnusable extends Error {}

/** Three connections to one file: the one writer, quick reads, and long jobs that would hold quick reads up. */
export interface Connections {
  writer: Database
  reader: Database
  long: Database
  /** What every commit runs: on the writer's connection, in its turn, and on the one for quick reads. */
  prepared: { writer: Prepared; reader: Prepared }
  /** Write in turn: whoever else writes waits, so that nobody's rows come into another's transaction. */
  writing: <Result>(act: (writer: Database) => Promise<Result>) => Promise<Result>
  close: () => Promise<void>
}

/** Rows of a read. */
export async function rows<Row extends object>(db: Sequelize, sql: string, bind: unknown[] = []): Promise<Row[]> {
  return await db.query<Row>(sql, { type: QueryTypes.SELECT, raw: true, bind })
}

async function pragma(db: Sequelize, name: string): Promise<unknown> {
  const [row] = await rows<Record<string, unknown>>(db, `PRAGMA ${name}`)
  return row ? Object.values(row)[0] : undefined
}

function explain(error: unknown, file: string): Error {
  const text = String((error as Error).message)
  if (/SQLITE_NOTADB|SQLITE_CORRUPT|malformed/.test(text)) {
    return new DatabaseUnusable(
      `${file} is damaged or is no Ample Tally ledger. Nothing was changed. Put it aside, copy the newest backup in its place, and start again.`,
    )
  }
  if (/SQLITE_BUSY|SQLITE_LOCKED/.test(text)) {
    return new DatabaseUnusable(`${file} is locked by another program. Close whatever has it open, then start again.`)
  }
  if (/SQLITE_CANTOPEN|SQLITE_READONLY|EACCES/.test(text)) {
    return new DatabaseUnusable(
      `${file} cannot be written. Check the folder's permissions and the disk, then start again.`,
    )
  }
  return error as Error
}

/**
 * Open the ledger in a data folder and assert that the writer keeps what it acknowledges.
 * @throws DatabaseUnusable when the file is damaged, locked or not writable
 */
export async function openConnections(folder: string): Promise<Connections> {
  const file = join(folder, 'ledger.sqlite')
  const writer = new Database(file)
  const reader = new Database(file)
  const long = new Database(file)
  try {
    await writer.query('PRAGMA busy_timeout = 2000')
    await writer.query('PRAGMA journal_mode = WAL')
    await writer.query('PRAGMA synchronous = FULL')
    await writer.query('PRAGMA foreign_keys = ON')
    // A ceiling on the file, for a folder that must not fill its disk.
    const mostPages = Number(process.env.AMPLE_TALLY_MOST_PAGES ?? 0)
    if (mostPages > 0) await writer.query(`PRAGMA max_page_count = ${Math.trunc(mostPages)}`)
    const state = {
      journal: await pragma(writer, 'journal_mode'),
      synchronous: await pragma(writer, 'synchronous'),
      foreignKeys: await pragma(writer, 'foreign_keys'),
    }
    if (state.journal !== 'wal' || state.synchronous !== 2 || state.foreignKeys !== 1) {
      throw new DatabaseUnusable(
        `The ledger's writer is not durable on this disk (${JSON.stringify(state)}). Use a data folder on a local disk.`,
      )
    }
    const check = await pragma(writer, 'quick_check(1)')
    if (check !== 'ok') throw new Error(`SQLITE_CORRUPT: ${String(check)}`)
    for (const db of [reader, long]) {
      await db.query('PRAGMA busy_timeout = 2000')
      await db.query('PRAGMA query_only = ON')
    }
  } catch (error) {
    throw explain(error, file)
  }
  let turn: Promise<unknown> = Promise.resolve()
  const prepared = { writer: new Prepared(writer), reader: new Prepared(reader) }
  return {
    writer,
    reader,
    long,
    prepared,
    writing: (act) => {
      const result = turn.then(() => act(writer))
      turn = result.catch(() => undefined)
      return result
    },
    close: async () => {
      await turn
      await Promise.all([prepared.writer.close(), prepared.reader.close()])
      await Promise.all([writer, reader, long].map((db) => db.close()))
    },
  }
}

/** One connection that reads, for what runs beside a server. */
export async function openForReading(folder: string): Promise<Database> {
  const db = new Database(join(folder, 'ledger.sqlite'))
  try {
    await db.query('PRAGMA busy_timeout = 10000')
    await db.query('PRAGMA query_only = ON')
    return db
  } catch (error) {
    throw explain(error, folder)
  }
}

/**
 * Hold a data folder for this process alone. The lock is an open exclusive transaction, so it goes with the process
 * however that ends.
 * @returns what releases it
 */
export async function lockFolder(folder: string): Promise<() => Promise<void>> {
  const lock = new Database(join(folder, 'in-use.sqlite'))
  try {
    await lock.query('BEGIN EXCLUSIVE')
  } catch (error) {
    if (!/SQLITE_BUSY/.test(String((error as Error).message))) throw explain(error, folder)
    throw new DatabaseUnusable(
      `Another Ample Tally is already running on ${folder}. Use that one, or stop it first, or name another folder in AMPLE_TALLY_DATA.`,
    )
  }
  return () => lock.close()
}
