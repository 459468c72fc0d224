import { copyFile, readdir } from 'node:fs/promises'
import { join } from 'node:path'
import { type Connections, rows } from '../database/connections'
import { durable } from '../database/durable'
import { eventColumns } from '../database/events'
import { beginLineage } from '../database/lineage'

/** Thrown when there is a room already by the time its ledger was to be brought in. */
export class RoomThere extends Error {}

const summaryColumns = 'stream, kind, version, title, state, changed_at, words, data'

/** Pictures first: an event that names one never outlives it. */
async function copyPictures(from: string, to: string): Promise<void> {
  for (const name of await readdir(from)) {
    await copyFile(join(from, name), join(to, name))
    await durable(join(to, name))
  }
  await durable(to)
}

/**
 * Take what was read, proved, and lies in a ledger of its own: all of it in one transaction, or none.
 * @param staged its folder; nothing has it open any more
 * @param opener who opens the room, and the hash of their secret: everyone else is given one by them
 * @throws RoomThere
 */
export async function takeStaged(
  db: Connections,
  staged: string,
  pictures: string,
  opener: { id: string; secret: string },
): Promise<void> {
  await copyPictures(join(staged, 'pictures'), pictures)
  await db.writing(async (writer) => {
    await writer.query('ATTACH DATABASE $1 AS staged', { bind: [join(staged, 'ledger.sqlite')] })
    try {
      await writer.atOnce(async () => {
        const [there] = await rows<{ any: number }>(
          writer,
          'SELECT (SELECT count(*) FROM main.people) + (SELECT count(*) FROM main.events) AS any',
        )
        if (there!.any > 0) throw new RoomThere()
        await writer.query(
          `INSERT INTO main.events (${eventColumns}) SELECT ${eventColumns} FROM staged.events ORDER BY position`,
        )
        await writer.query(
          'INSERT INTO main.commands (id, body_hash, reply) SELECT id, body_hash, reply FROM staged.commands',
        )
        await beginLineage(writer)
        await writer.query('INSERT INTO main.heads (position, head) SELECT position, head FROM staged.heads')
        await writer.query(
          `INSERT INTO main.summaries (${summaryColumns}) SELECT ${summaryColumns} FROM staged.summaries`,
        )
        await writer.query(
          `INSERT INTO main.people (id, name, role, secret, active, must_change)
           SELECT id, name, role, iif(id = $1, $2, ''), active, iif(id = $1, 0, 1) FROM staged.people`,
          { bind: [opener.id, opener.secret] },
        )
      })
    } finally {
      await writer.query('DETACH DATABASE staged').catch(() => undefined)
    }
  })
}
