import { createHash } from 'node:crypto'
import canonicalize from 'canonicalize'
import type { Sequelize } from 'sequelize'
import type { Happening, LedgerEvent } from '#core/ground/envelope'
import { upcast } from '#core/house/upcast'
import { rows } from './connections'

interface EventRow {
  position: number
  stream: string
  seq: number
  type: string
  version: number
  actor: string
  via: string | null
  device: string
  command_id: string
  occurred_at: string
  recorded_at: string
  data: string
  hash: string
  claimed_at: string | null
}

/** Every column of an event, in the order in which rows are written. */
export const eventColumns =
  'position, stream, seq, type, version, actor, via, device, command_id, occurred_at, recorded_at, data, hash, claimed_at'

/** The same with the moment of each as it is read: see the migration that made `happened_at`. */
const readColumns = eventColumns.replace('occurred_at', 'happened_at AS occurred_at')

/** The chain's start: what the first event of every stream is hashed with. */
export const chainStart = '0'.repeat(64)

/**
 * SHA-256 over the stream's previous hash and the canonical JSON (RFC 8785) of the event without its hash and position.
 * A claimed time is part of it where there is one: events had none before.
 */
export function eventHash(previous: string, event: Omit<LedgerEvent, 'hash' | 'position'>): string {
  const { stream, seq, type, version, actor, via, device, commandId, occurredAt, recordedAt, claimedAt, data } = event
  const body = canonicalize({
    stream,
    seq,
    type,
    version,
    actor,
    via,
    device,
    commandId,
    occurredAt,
    recordedAt,
    ...(claimedAt === null || claimedAt === undefined ? {} : { claimedAt }),
    data,
  })!
  return createHash('sha256').update(previous).update(body).digest('hex')
}

function stored(row: EventRow): LedgerEvent {
  return {
    position: row.position,
    stream: row.stream,
    seq: row.seq,
    type: row.type,
    version: row.version,
    actor: row.actor,
    via: row.via,
    device: row.device,
    commandId: row.command_id,
    occurredAt: row.occurred_at,
    recordedAt: row.recorded_at,
    data: JSON.parse(row.data) as unknown,
    hash: row.hash,
    claimedAt: row.claimed_at,
  }
}

export function toRow(event: LedgerEvent): EventRow {
  return {
    position: event.position,
    stream: event.stream,
    seq: event.seq,
    type: event.type,
    version: event.version,
    actor: event.actor,
    via: event.via,
    device: event.device,
    command_id: event.commandId,
    occurred_at: event.occurredAt,
    recorded_at: event.recordedAt,
    data: JSON.stringify(event.data),
    hash: event.hash,
    claimed_at: event.claimedAt,
  }
}

/** A stream read for folding, with what the next event must follow from. */
export interface StreamRead {
  events: Happening[]
  hash: string
  recordedAt: string
}

type Line = [
  position: number,
  seq: number,
  type: string,
  version: number,
  actor: string,
  via: string | null,
  occurredAt: string,
  claimedAt: string | null,
  data: unknown,
]

/** How many events are read at a time: folding begins once the first are there. */
const pageLength = 500

interface PageRow {
  count: number
  lines: string | null
  hash: string | null
  recorded_at: string | null
}

/** One text for all of them, of the columns that folding needs: handing rows over singly cost most of a read. */
const pageOf = `
  SELECT count(*) AS count,
    group_concat('[' || position || ',' || seq || ',' || json_quote(type) || ',' || version || ',' || json_quote(actor) || ',' || json_quote(via) || ',' || json_quote(occurred_at) || ',' || json_quote(claimed_at) || ',' || data || ']') AS lines,
    (SELECT hash FROM events WHERE stream = $1 AND seq <= $3 ORDER BY seq DESC LIMIT 1) AS hash,
    (SELECT recorded_at FROM events WHERE stream = $1 AND seq <= $3 ORDER BY seq DESC LIMIT 1) AS recorded_at
  FROM (
    SELECT position, seq, type, version, actor, via, happened_at AS occurred_at, claimed_at, data
    FROM events WHERE stream = $1 AND seq > $2 AND seq <= $3 ORDER BY seq
  )`

async function readPage(db: Sequelize, stream: string, after: number): Promise<PageRow> {
  return (await rows<PageRow>(db, pageOf, [stream, after, after + pageLength]))[0]!
}

function readLines(stream: string, text: string | null): Happening[] {
  return (JSON.parse(`[${text ?? ''}]`) as Line[]).map(
    ([position, seq, type, version, actor, via, occurredAt, claimedAt, data]) =>
      upcast({ position, stream, seq, type, version, actor, via, occurredAt, claimedAt, data }),
  )
}

/**
 * A stream's events as today's `evolve` expects them, by pages: the database reads the next while one is folded. A stream
 * without events gives one page that has none.
 */
export async function* streamPages(db: Sequelize, stream: string): AsyncGenerator<StreamRead> {
  let reading = readPage(db, stream, 0)
  for (let after = 0; ; after += pageLength) {
    const { count, lines, hash, recorded_at } = await reading
    const isLast = count < pageLength
    if (!isLast) {
      reading = readPage(db, stream, after + pageLength)
      // It is awaited once this page was taken; what goes wrong meanwhile is heard then.
      reading.catch(() => undefined)
    }
    if (count > 0 || after === 0)
      yield { events: readLines(stream, lines), hash: hash ?? chainStart, recordedAt: recorded_at ?? '' }
    if (isLast) return
  }
}

/** The whole of a stream. */
export async function readStream(db: Sequelize, stream: string): Promise<StreamRead> {
  const whole: StreamRead = { events: [], hash: chainStart, recordedAt: '' }
  for await (const { events, ...last } of streamPages(db, stream)) {
    for (const event of events) whole.events.push(event)
    Object.assign(whole, last)
  }
  return whole
}

async function eventRows(db: Sequelize, columns: string, position: number, limit: number): Promise<LedgerEvent[]> {
  const found = await rows<EventRow>(
    db,
    `SELECT ${columns} FROM events WHERE position > $1 ORDER BY position LIMIT $2`,
    [position, limit],
  )
  return found.map(stored)
}

/** Events after a position as they were written, oldest first, at most `limit`. */
export async function storedEvents(db: Sequelize, position: number, limit: number): Promise<LedgerEvent[]> {
  return await eventRows(db, eventColumns, position, limit)
}

/** The same as today's `evolve` expects them. */
export async function eventsAfter(db: Sequelize, position: number, limit: number): Promise<LedgerEvent[]> {
  return (await eventRows(db, readColumns, position, limit)).map((event) => upcast(event))
}

export async function lastPosition(db: Sequelize): Promise<number> {
  const [row] = await rows<{ last: number | null }>(db, 'SELECT max(position) AS last FROM events')
  return row?.last ?? 0
}
