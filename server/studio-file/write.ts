import { createHash } from 'node:crypto'
import type { Sequelize } from 'sequelize'
import { streamKinds } from '#core/house/streams'
import type { StudioState } from '#core/stores/studio/state'
import type { StoredReply } from '#shared/replies/replies'
import { rows } from '../database/connections'
import type { Head } from '../database/heads'
import { eventsByKind } from '../database/over-events'
import { eventLines } from './event-lines'
import type { Pressroom } from '../services/pressroom'
import type { CommandLine, EndLine, HeadLine, PersonLine, PictureLine } from './lines'

/** What of a room goes into its file, as of one moment. */
interface Moment {
  reach: Head
  people: PersonLine[]
  streams: Record<string, number>
  commands: number
  pictures: string[]
}

const line = (value: HeadLine | PersonLine | CommandLine | PictureLine | EndLine) => `${JSON.stringify(value)}\n`

/** Every kind the registry knows, none of its events left out. @throws Error when the ledger holds a kind that nothing here reads */
async function countStreams(room: Pressroom, { position }: Head): Promise<Record<string, number>> {
  const counted = await eventsByKind(room.db.long, position)
  const unknown = [...counted.keys()].find((kind) => !streamKinds.includes(kind))
  if (unknown) throw new Error(`The ledger holds streams of the kind “${unknown}”, which nothing here reads.`)
  return Object.fromEntries(streamKinds.map((kind) => [kind, counted.get(kind) ?? 0]))
}

/**
 * People, pictures and events of one moment, however busy the presses are: pulls that come in meanwhile lie beyond it. Only a
 * person who came in between would stand among the people and not in the ledger; then it is looked at again.
 */
async function momentOf(room: Pressroom): Promise<Moment> {
  for (;;) {
    const { reach } = room.ledger
    const people = (await room.db.long.people.findAll({ order: ['id'] })).map((row) => row.get())
    const later = await rows(room.db.long, `SELECT 1 FROM events WHERE stream = 'studio' AND position > $1 LIMIT 1`, [
      reach.position,
    ])
    if (later.length > 0) continue
    const streams = await countStreams(room, reach)
    const [counted] = await rows<{ commands: number }>(
      room.db.long,
      `SELECT count(*) AS commands FROM commands WHERE reply ->> '$.position' <= $1`,
      [reach.position],
    )
    // Listed last: a picture is here before any event names it.
    const pictures = await room.pictures.all()
    return {
      reach,
      pictures,
      streams,
      commands: counted!.commands,
      people: people.map(({ id, name, role, active }) => ({ line: 'person', id, name, role, active })),
    }
  }
}

async function* bodyOf(
  room: Pressroom,
  { reach, people, streams, commands, pictures }: Moment,
): AsyncGenerator<string> {
  const { name } = await room.ledger.read<StudioState>('studio')
  yield line({
    line: 'head',
    format: 'ample-tally studio',
    version: 2,
    studio: name,
    people: people.length,
    events: reach.position,
    pictures: pictures.length,
    commands,
    streams,
    head: reach.head,
  })
  for (const person of people) yield line(person)
  yield* eventLines(room.db.long, reach.position)
  yield* commandLines(room.db.long, reach.position)
  for (const id of pictures)
    yield line({
      line: 'picture',
      id,
      media: 'image/webp',
      data: (await room.pictures.read(id)).toString('base64'),
    })
}

/** Ids of commands as lines, in pieces, by id: sent again to the room that takes the file, they are answered as here. */
async function* commandLines(db: Sequelize, upTo: number): AsyncGenerator<string> {
  for (let after = ''; ;) {
    const found = await rows<{ id: string; body_hash: string; reply: string }>(
      db,
      `SELECT id, body_hash, reply FROM commands WHERE id > $1 AND reply ->> '$.position' <= $2 ORDER BY id LIMIT 1000`,
      [after, upTo],
    )
    for (const { id, body_hash: bodyHash, reply } of found)
      yield line({ line: 'command', id, bodyHash, reply: JSON.parse(reply) as StoredReply })
    if (found.length < 1000) return
    after = found.at(-1)!.id
  }
}

/**
 * The whole room as one file, in pieces: its people without their secrets, every event as it is kept, every picture. The
 * same room gives the same bytes.
 */
export async function* studioFile(room: Pressroom): AsyncGenerator<string> {
  const moment = await momentOf(room)
  const hash = createHash('sha256')
  const { people, pictures, commands, reach } = moment
  for await (const piece of bodyOf(room, moment)) {
    hash.update(piece)
    yield piece
  }
  const lines = 1 + people.length + reach.position + commands + pictures.length
  yield line({ line: 'end', lines, sha256: hash.digest('hex') })
}
