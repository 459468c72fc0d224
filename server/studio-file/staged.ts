import { createHash } from 'node:crypto'
import { mkdir, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { type Connections, openConnections } from '../database/connections'
import { eventColumns, toRow } from '../database/events'
import { migrate } from '../database/migrations'
import { picturesIn } from '../services/pictures-in'
import type { CommandLine, EventLine, HeadLine, PersonLine, PictureLine } from './lines'

/** Events stored at once. */
const page = 1000

const insert = `INSERT OR IGNORE INTO events (${eventColumns})
  SELECT ${eventColumns
    .split(', ')
    .map((_, i) => `value ->> ${i}`)
    .join(', ')} FROM json_each($1)`

/** What was read of a file, as it now lies in a ledger of its own beside the room's. */
export class Staged {
  head: HeadLine | null = null
  readonly people: PersonLine[] = []
  readonly pictures = new Set<string>()
  /** Pictures that events name. */
  readonly named = new Set<string>()
  events = 0
  commands = 0
  impressions = 0
  private waiting: EventLine[] = []
  private waitingCommands: [string, string, string][] = []

  private constructor(
    readonly db: Connections,
    private readonly folder: string,
  ) {}

  /** @param folder where it may lie; empty but for the file */
  static async in(folder: string): Promise<Staged> {
    await mkdir(join(folder, 'pictures'), { recursive: true, mode: 0o700 })
    const db = await openConnections(folder)
    await migrate(db.writer)
    // What lies here is read once more from the file when the machine dies.
    await db.writer.query('PRAGMA synchronous = OFF')
    return new Staged(db, folder)
  }

  async addPerson(person: PersonLine): Promise<void> {
    this.people.push(person)
    const { id, name, role, active } = person
    const kept = { id, name, role, active, secret: '', mustChange: false }
    // One by one values are bound, whatever a file says; many at once they would stand in the text.
    await this.db.writer.people.create(kept, { ignoreDuplicates: true })
  }

  async addEvent(event: EventLine): Promise<void> {
    this.events += 1
    if (event.type === 'pulled') this.impressions += 1
    for (const id of picturesIn(event.data)) this.named.add(id)
    this.waiting.push(event)
    if (this.waiting.length >= page) await this.store()
  }

  async addCommand({ id, bodyHash, reply }: CommandLine): Promise<void> {
    this.commands += 1
    this.waitingCommands.push([id, bodyHash, JSON.stringify(reply)])
    if (this.waitingCommands.length >= page) await this.store()
  }

  /** Commands of a file that does not name them, told from their events: what was sent with them is not known any more. */
  async commandsFromEvents(): Promise<void> {
    await this.db.writer.query(
      `INSERT OR IGNORE INTO commands (id, body_hash, reply)
       SELECT command_id, '', json_object('position', max(position), 'stream',
         coalesce(max(CASE WHEN stream LIKE 'edition:%' THEN stream END), max(stream)), 'seq',
         coalesce(max(CASE WHEN stream LIKE 'edition:%' THEN seq END), max(seq)), 'made', count(*), 'disputed', NULL)
       FROM events WHERE command_id <> '' GROUP BY command_id`,
    )
  }

  /** @returns false when the picture is not the one it is called after */
  async addPicture({ id, data }: PictureLine): Promise<boolean> {
    const bytes = Buffer.from(data, 'base64')
    if (createHash('sha256').update(bytes).digest('hex') !== id) return false
    await writeFile(join(this.folder, 'pictures', `${id}.webp`), bytes, { mode: 0o600 })
    this.pictures.add(id)
    return true
  }

  /** Store what still waits. */
  async store(): Promise<void> {
    const rows = this.waiting.map((event) => Object.values(toRow({ ...event, claimedAt: event.claimedAt ?? null })))
    this.waiting = []
    if (rows.length > 0) await this.db.writer.query(insert, { bind: [JSON.stringify(rows)] })
    const commands = this.waitingCommands
    this.waitingCommands = []
    if (commands.length > 0)
      await this.db.writer.query(
        `INSERT OR IGNORE INTO commands (id, body_hash, reply) SELECT value ->> 0, value ->> 1, value ->> 2 FROM json_each($1)`,
        { bind: [JSON.stringify(commands)] },
      )
  }
}
