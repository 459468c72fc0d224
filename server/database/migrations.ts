import type { Sequelize } from 'sequelize'
import { Umzug } from 'umzug'
import { rows } from './connections'
import * as ledger from './migrations/0001-ledger'

/** Forward only, in this order; imported by name so that the bundler keeps them. */
const migrations = [{ name: '0001-ledger', ...ledger }]

const storage = (db: Sequelize) => ({
  async executed() {
    await db.query('CREATE TABLE IF NOT EXISTS migrations (name TEXT PRIMARY KEY) STRICT')
    return (await rows<{ name: string }>(db, 'SELECT name FROM migrations ORDER BY name')).map(row => row.name)
  },
  async logMigration({ name }: { name: string }) {
    await db.query('INSERT INTO migrations (name) VALUES ($1)', { bind: [name] })
  },
  async unlogMigration() {
    throw new Error('Migrations only go forward.')
  },
})

/** Bring a ledger file to the shape this program needs. */
export async function migrate(db: Sequelize): Promise<void> {
  const umzug = new Umzug({ migrations: migrations.map(({ name, up }) => ({ name, up: () => up(db) })), storage: storage(db), logger: undefined })
  await umzug.up()
}
