import type { Sequelize } from 'sequelize'
import { Umzug } from 'umzug'
import { isNewer } from '#core/house/upcast'
import { DatabaseUnusable, rows } from './connections'
import * as ledger from './migrations/0001-ledger'

/** Forward only, in this order; imported by name so that the bundler keeps them. */
const migrations = [{ name: '0001-ledger', ...ledger }]

const storage = (db: Sequelize) => ({
  async executed() {
    await db.query('CREATE TABLE IF NOT EXISTS migrations (name TEXT PRIMARY KEY) STRICT')
    return (await rows<{ name: string }>(db, 'SELECT name FROM migrations ORDER BY name')).map((row) => row.name)
  },
  async logMigration({ name }: { name: string }) {
    await db.query('INSERT INTO migrations (name) VALUES ($1)', { bind: [name] })
  },
  async unlogMigration() {
    throw new Error('Migrations only go forward.')
  },
})

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

/**
 * Bring a ledger file to the shape this program needs.
 * @throws DatabaseUnusable when a newer program has written to it
 */
export async function migrate(db: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations: migrations.map(({ name, up }) => ({ name, up: () => up(db) })),
    storage: storage(db),
    logger: undefined,
  })
  await umzug.up()
  await refuseNewer(db, await storage(db).executed())
}
