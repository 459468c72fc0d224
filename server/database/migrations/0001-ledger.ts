import type { Sequelize } from 'sequelize'

const statements = [
  `CREATE TABLE events (
    position INTEGER PRIMARY KEY,
    stream TEXT NOT NULL,
    seq INTEGER NOT NULL,
    type TEXT NOT NULL,
    version INTEGER NOT NULL,
    actor TEXT NOT NULL,
    via TEXT,
    device TEXT NOT NULL,
    command_id TEXT NOT NULL,
    occurred_at TEXT NOT NULL,
    recorded_at TEXT NOT NULL,
    data TEXT NOT NULL,
    hash TEXT NOT NULL,
    UNIQUE (stream, seq)
  ) STRICT`,
  `CREATE TRIGGER events_never_change BEFORE UPDATE ON events BEGIN SELECT RAISE(ABORT, 'events are never changed'); END`,
  `CREATE TRIGGER events_never_go BEFORE DELETE ON events BEGIN SELECT RAISE(ABORT, 'events are never deleted'); END`,
  `CREATE TABLE commands (
    id TEXT PRIMARY KEY,
    body_hash TEXT NOT NULL,
    reply TEXT NOT NULL
  ) STRICT, WITHOUT ROWID`,
  `CREATE TABLE summaries (
    stream TEXT PRIMARY KEY,
    kind TEXT NOT NULL,
    version INTEGER NOT NULL,
    title TEXT NOT NULL,
    state TEXT NOT NULL,
    changed_at TEXT NOT NULL,
    data TEXT NOT NULL
  ) STRICT, WITHOUT ROWID`,
  `CREATE INDEX summaries_by_change ON summaries (kind, changed_at, stream)`,
  `CREATE INDEX summaries_by_state ON summaries (kind, state, changed_at, stream)`,
  `CREATE TABLE people (
    id TEXT PRIMARY KEY,
    name TEXT NOT NULL,
    role TEXT NOT NULL,
    secret TEXT NOT NULL,
    active INTEGER NOT NULL,
    session_version INTEGER NOT NULL
  ) STRICT`,
]

export async function up(db: Sequelize): Promise<void> {
  for (const statement of statements) await db.query(statement)
}
