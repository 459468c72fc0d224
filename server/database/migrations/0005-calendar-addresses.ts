import type { Sequelize } from 'sequelize'

/** When each person’s address for calendar programs was made: the address before it leads nowhere any more. */
export async function up(db: Sequelize): Promise<void> {
  await db.query(
    `CREATE TABLE calendar_addresses (person TEXT PRIMARY KEY, made_at TEXT NOT NULL) STRICT, WITHOUT ROWID`,
  )
}
