import { randomUUID } from 'node:crypto'
import type { Sequelize } from 'sequelize'

const statements = [
  `CREATE TABLE sign_ins (
    id TEXT PRIMARY KEY,
    person TEXT NOT NULL,
    device TEXT NOT NULL,
    own INTEGER NOT NULL,
    address TEXT NOT NULL,
    agent TEXT NOT NULL,
    started_at TEXT NOT NULL,
    seen_at TEXT NOT NULL,
    state TEXT NOT NULL
  ) STRICT, WITHOUT ROWID`,
  `CREATE INDEX sign_ins_by_person ON sign_ins (person, device)`,
  `CREATE TABLE security_log (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    at TEXT NOT NULL,
    kind TEXT NOT NULL,
    person TEXT,
    done_by TEXT,
    address TEXT NOT NULL,
    device TEXT NOT NULL,
    detail TEXT NOT NULL
  ) STRICT`,
  // What is known of this file as a whole, by name.
  `CREATE TABLE about (name TEXT PRIMARY KEY, value TEXT NOT NULL) STRICT, WITHOUT ROWID`,
  `ALTER TABLE people ADD COLUMN must_change INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE people DROP COLUMN session_version`,
]

/** Sign-ins of its own, a log of who came and who was turned away, and a name for this room that its cookies carry. */
export async function up(db: Sequelize): Promise<void> {
  for (const statement of statements) await db.query(statement)
  await db.query(`INSERT INTO about (name, value) VALUES ('room', $1)`, { bind: [randomUUID()] })
}
