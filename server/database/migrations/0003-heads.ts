import { randomUUID } from 'node:crypto'
import type { Sequelize } from 'sequelize'
import { chainHead } from '../heads'

/** One chain over all streams, by position: it shows when the newest events, or a whole stream, are gone. */
export async function up(db: Sequelize): Promise<void> {
  await db.query('CREATE TABLE heads (position INTEGER PRIMARY KEY, head TEXT NOT NULL) STRICT')
  await chainHead(db)
  await db.query(`INSERT INTO about (name, value) VALUES ('lineage', $1), ('lineage-from', '0')`, {
    bind: [randomUUID()],
  })
}
