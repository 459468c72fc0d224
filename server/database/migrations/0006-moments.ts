import type { Sequelize } from 'sequelize'

const digits = (count: number) => '[0-9]'.repeat(count)
const written = `${digits(4)}-${digits(2)}-${digits(2)}T${digits(2)}:${digits(2)}:${digits(2)}.${digits(3)}Z`

/**
 * `claimed_at`: what a browser's clock said, where that could not be and `occurred_at` is the nearest that could.
 *
 * `happened_at`: when an event happened, written so that everybody can read it. Earlier versions took moments written
 * otherwise; `occurred_at` stays as it came, since it is hashed. Where no clock has such a moment, it is when the event
 * was recorded.
 */
export async function up(db: Sequelize): Promise<void> {
  await db.query('ALTER TABLE events ADD COLUMN claimed_at TEXT')
  await db.query(`ALTER TABLE events ADD COLUMN happened_at TEXT GENERATED ALWAYS AS (
    CASE WHEN occurred_at GLOB '${written}' THEN occurred_at
      ELSE coalesce(strftime('%Y-%m-%dT%H:%M:%fZ', occurred_at), recorded_at) END) VIRTUAL`)
}
