import type { Sequelize } from 'sequelize'
import { rows } from './connections'

/** How many events there are of each kind of stream, up to a position. */
export async function eventsByKind(db: Sequelize, upTo: number): Promise<ReadonlyMap<string, number>> {
  const found = await rows<{ kind: string; events: number }>(
    db,
    `SELECT CASE instr(stream, ':') WHEN 0 THEN stream ELSE substr(stream, 1, instr(stream, ':') - 1) END AS kind, count(*) AS events
     FROM events WHERE position <= $1 GROUP BY kind`,
    [upTo],
  )
  return new Map(found.map(({ kind, events }) => [kind, events]))
}
