import type { Sequelize } from 'sequelize'
import { isNewer } from '#core/house/upcast'
import { DatabaseUnusable, rows } from './connections'
import * as ledger from './migrations/0001-ledger'
import * as signIns from './migrations/0002-sign-ins'
import * as heads from './migrations/0003-heads'
import * as finds from './migrations/0004-finds'
import * as calendarAddresses from './migrations/0005-calendar-addresses'
import * as moments from './migrations/0006-moments'

/** One step of the file's shape, by name. */
export interface Migration {
  name: string
  up: (db: Sequelize) => Promise<void>
}

/** Forward only, in this order; imported by name so that the bundler keeps them. */
const migrations: readonly Migration[] = [
  { name: '0001-ledger', ...ledger },
  { name: '0002-sign-ins', ...signIns },
  { name: '0003-heads', ...heads },
  { name: '0004-finds', ...finds },
  { name: '0005-calendar-addresses', ...calendarAddresses },
  { name: '0006-moments', ...moments },
]

const storage = (db: Sequelize) => ({
  async executed() {
    await db.query('CREATE TABLE IF NOT EXISTS migrations (name TEXT PRIMARY KEY) STRICT')
    return (await rows<{ name: string }>(db, 'SELECT name FROM migrations ORDER BY name')).map((row) => row.name)
  },
  async logMigration() {
    // Noted within the migration's own transaction, so that it is there with what it did or not at all.
  },
  async unlogMigration() {
    throw new Error('Migrations only go forward.')
  },
})

/**
 * One migration, whole or not at all.
 * @throws DatabaseUnusable naming the migration, with what the database said as its cause
 */
async function step(db: Sequelize, { name, up }: Migration): Promise<void> {
  await db.query('BEGIN IMMEDIATE')
  try {
    await up(db)
    await db.query('INSERT INTO migrations (name) VALUES ($1)', { bind: [name] })
    await db.query('COMMIT')
  } catch (cause) {
    await db.query('ROLLBACK').catch(() => undefined)
    const said = cause instanceof Error ? cause.message : String(cause)
    throw new DatabaseUnusable(
      `The ledger could not be brought to this program's shape: ${name} failed (${said}). Nothing was changed. Start the older program again, and tell whoever looks after this one.`,
      { cause },
    )
  }
}

/** How far back the newest events are looked at for a version this program does not know. */
const newestLooked = 1000

/**
 * An older program must not write to a newer ledger: it would fold what it does not understand.
 * @throws DatabaseUnusable when the file was shaped or written by a newer program
 */
async function refuseNewer(db: Sequelize, executed: string[]): Promise<void> {
  const unknown = executed.find((name) => !migrations.some((migration) => migration.name === name))
  const newest = unknown
    ? []
    : await rows<{ type: string; version: number }>(
        db,
        `SELECT DISTINCT type, version FROM events WHERE position > (SELECT coalesce(max(position), 0) FROM events) - ${newestLooked}`,
      )
  const newer = newest.find(isNewer)
  if (unknown || newer) {
    throw new DatabaseUnusable(
      `This ledger was written by a newer Ample Tally (${unknown ?? `${newer!.type} version ${newer!.version}`}). Start the newer program again; nothing was changed.`,
    )
  }
}

/** @throws DatabaseUnusable when one fails */
async function migrateBy(db: Sequelize, steps: readonly Migration[]): Promise<void> {
  const { MigrationError, Umzug } = await import('umzug')
  const umzug = new Umzug({
    migrations: steps.map((migration) => ({ name: migration.name, up: () => step(db, migration) })),
    storage: storage(db),
    logger: undefined,
  })
  try {
    await umzug.up()
  } catch (error) {
    // Umzug wraps what was thrown; what to do stands in the cause.
    throw error instanceof MigrationError && error.cause instanceof DatabaseUnusable ? error.cause : error
  }
}

/**
 * Bring a ledger file to the shape this program needs.
 * @throws DatabaseUnusable when a newer program has written to it, or a migration fails
 */
export async function migrate(db: Sequelize, steps: readonly Migration[] = migrations): Promise<void> {
  const done = new Set(await storage(db).executed())
  // Hardly any start has a step to take, and the library takes as long to load as all of ours.
  if (!steps.every(({ name }) => done.has(name))) await migrateBy(db, steps)
  await refuseNewer(db, await storage(db).executed())
}
