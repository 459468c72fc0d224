import type { Sequelize } from 'sequelize'

const statements = [
  // What a line of the lists is found by; filled as the lists are rebuilt.
  `ALTER TABLE summaries ADD COLUMN words TEXT NOT NULL DEFAULT ''`,
  `CREATE VIRTUAL TABLE finds USING fts5(stream UNINDEXED, words, prefix = '1 2 3', tokenize = 'unicode61 remove_diacritics 2')`,
  `CREATE TRIGGER finds_added AFTER INSERT ON summaries WHEN new.words <> '' BEGIN
    INSERT INTO finds (stream, words) VALUES (new.stream, new.words);
  END`,
  // A pull changes a line and never what it is found by.
  `CREATE TRIGGER finds_changed AFTER UPDATE ON summaries WHEN new.words <> old.words BEGIN
    DELETE FROM finds WHERE stream = old.stream;
    INSERT INTO finds (stream, words) VALUES (new.stream, new.words);
  END`,
  `CREATE TRIGGER finds_gone AFTER DELETE ON summaries BEGIN
    DELETE FROM finds WHERE stream = old.stream;
  END`,
]

/** An index over the words of the lists. */
export async function up(db: Sequelize): Promise<void> {
  for (const statement of statements) await db.query(statement)
}
