import { createHash } from 'node:crypto'
import canonicalize from 'canonicalize'
import { LRUCache } from 'lru-cache'
import { QueryTypes } from 'sequelize'
import type { EditionState } from '#core/edition/state'
import { pullOf } from '#core/edition/pull'
import { type Context, type LedgerEvent, streamKind } from '#core/ground/envelope'
import type { Refusal } from '#core/ground/refusal'
import { type Command, decide, emptyState, evolve, fold, type StreamState, streamsFor } from '#core/house/streams'
import type { StoredReply } from '#shared/replies/replies'
import { type Connections, rows } from '../database/connections'
import { eventHash, lastPosition, readStream, toRow } from '../database/events'
import { putSummaries, type SummaryRow, summaryRow } from '../database/summaries'

/** A command with who and where it came from, checked in shape. */
export interface Submission {
  command: Command
  context: Context
  device: string
  /** The person whose session handed it in, when it was another's tap. */
  via: string | null
  /** Statement to run in the same transaction, for what lives beside the ledger (people). */
  beside?: { sql: string; bind: unknown[] }
}

export type Answer =
  | { status: 'stored'; reply: StoredReply; repeated: boolean }
  | { status: 'refused'; refusal: Refusal }
  | { status: 'conflict' }
  | { status: 'failed'; refusal: Refusal }

interface Cached {
  state: StreamState
  hash: string
}
interface Waiting {
  submission: Submission
  bodyHash: string
  answer: (answer: Answer) => void
}
interface Outcome {
  waiting: Waiting
  answer: Answer
  events: LedgerEvent[]
}

/** Most commands taken into one commit: more only lengthens the wait of the first. */
const groupSize = 256

function bodyHashOf({ command, context }: Submission): string {
  const body = canonicalize({
    type: command.type,
    stream: command.stream,
    data: command.data,
    expectedSeq: command.expectedSeq ?? null,
    by: context.personId,
    at: context.occurredAt,
  })
  return createHash('sha256').update(body!).digest('hex')
}

function weightOf({ state }: Cached): number {
  return streamKind(state.stream) === 'edition'
    ? 10 + (state as EditionState).pulls.length + (state as EditionState).sheets.length
    : 5
}

/**
 * The one writer. Commands wait in arrival order, are decided against cached states, and go to disk in groups of one
 * transaction each; a command is answered only when its group is durable.
 */
export class Ledger {
  /** States by stream, bounded by the pulls and sheets they hold. */
  private readonly cache = new LRUCache<string, Cached>({ maxSize: 120_000, sizeCalculation: weightOf })
  private readonly queue: Waiting[] = []
  private draining = false
  private position = 0

  constructor(
    private readonly db: Connections,
    private readonly publish: (events: LedgerEvent[], states: StreamState[]) => void,
  ) {}

  async open(): Promise<void> {
    this.position = await lastPosition(this.db.reader)
  }

  /** Position of the newest event that is durable. */
  get head(): number {
    return this.position
  }

  /** Take a command in; resolves when it is durable or refused. */
  submit(submission: Submission): Promise<Answer> {
    return new Promise((resolve) => {
      this.queue.push({ submission, bodyHash: bodyHashOf(submission), answer: resolve })
      if (!this.draining) void this.drain()
    })
  }

  /** A stream as it stands now. */
  async read<State extends StreamState>(stream: string): Promise<State> {
    return (await this.cached(stream)).state as State
  }

  private async drain(): Promise<void> {
    this.draining = true
    // Commands that arrive in the same turn of the event loop share a commit.
    await new Promise((resolve) => setImmediate(resolve))
    while (this.queue.length > 0) await this.commit(this.queue.splice(0, groupSize))
    this.draining = false
  }

  private async cached(stream: string): Promise<Cached> {
    const known = this.cache.get(stream)
    if (known) return known
    const { events, hash } = await readStream(this.db.reader, stream)
    const fresh = { state: fold(emptyState(stream), events), hash }
    // A stream nobody has written to is not worth keeping: ids come from outside.
    if (events.length > 0) this.cache.set(stream, fresh)
    return fresh
  }

  private async known(ids: string[]): Promise<Map<string, { bodyHash: string; reply: StoredReply }>> {
    const found = await this.db.reader.query<{ id: string; body_hash: string; reply: string }>(
      'SELECT id, body_hash, reply FROM commands WHERE id IN (?)',
      { type: QueryTypes.SELECT, raw: true, replacements: [ids] },
    )
    return new Map(
      found.map((row) => [row.id, { bodyHash: row.body_hash, reply: JSON.parse(row.reply) as StoredReply }]),
    )
  }

  private async commit(group: Waiting[]): Promise<void> {
    const working = new Map<string, Cached>()
    let outcomes: Outcome[] = []
    try {
      const known = await this.known(group.map((waiting) => waiting.submission.context.commandId))
      const recordedAt = new Date().toISOString()
      let position = this.position
      for (const waiting of group) {
        const outcome = await this.decideOne(waiting, known, working, recordedAt, position)
        position += outcome.events.length
        outcomes.push(outcome)
        if (outcome.answer.status === 'stored')
          known.set(waiting.submission.context.commandId, { bodyHash: waiting.bodyHash, reply: outcome.answer.reply })
      }
      await this.store(
        outcomes.filter((outcome) => outcome.events.length > 0),
        working,
        recordedAt,
      )
    } catch (error) {
      for (const stream of working.keys()) this.cache.delete(stream)
      this.position = await lastPosition(this.db.reader).catch(() => this.position)
      const refusal = storageRefusal(error)
      outcomes = group.map((waiting) => ({ waiting, answer: { status: 'failed', refusal }, events: [] }))
    }
    for (const { waiting, answer } of outcomes) waiting.answer(answer)
  }

  private async decideOne(
    waiting: Waiting,
    known: Map<string, { bodyHash: string; reply: StoredReply }>,
    working: Map<string, Cached>,
    recordedAt: string,
    position: number,
  ): Promise<Outcome> {
    const { command, context, device, via } = waiting.submission
    const before = known.get(context.commandId)
    if (before) {
      return {
        waiting,
        events: [],
        answer:
          before.bodyHash === waiting.bodyHash
            ? { status: 'stored', reply: before.reply, repeated: true }
            : { status: 'conflict' },
      }
    }
    const states = new Map<string, StreamState>()
    for (const stream of streamsFor(command)) {
      if (!working.has(stream)) working.set(stream, await this.cached(stream))
      states.set(stream, working.get(stream)!.state)
    }
    const decision = decide(states, command, context)
    if ('refusal' in decision) return { waiting, events: [], answer: { status: 'refused', refusal: decision.refusal } }
    const events = decision.events.map((proposed, i) => {
      const cached = working.get(proposed.stream)!
      const bare = {
        ...proposed,
        position: position + i + 1,
        seq: cached.state.seq + 1,
        actor: context.personId,
        via,
        device,
        commandId: context.commandId,
        occurredAt: context.occurredAt,
        recordedAt,
      }
      const event: LedgerEvent = { ...bare, hash: eventHash(cached.hash, bare) }
      working.set(proposed.stream, { state: evolve(cached.state, event), hash: event.hash })
      return event
    })
    const own = working.get(command.stream)!.state
    const disputed =
      streamKind(command.stream) === 'edition'
        ? (pullOf(own as EditionState, context.commandId)?.disputed?.message ?? null)
        : null
    return {
      waiting,
      events,
      answer: {
        status: 'stored',
        repeated: false,
        reply: { position: events.at(-1)!.position, stream: command.stream, seq: own.seq, disputed },
      },
    }
  }

  private async store(written: Outcome[], working: Map<string, Cached>, recordedAt: string): Promise<void> {
    if (written.length === 0) return
    const events = written.flatMap((outcome) => outcome.events)
    const touched = new Set(events.map((event) => event.stream))
    const summaries = [...touched]
      .map((stream) => summaryRow(working.get(stream)!.state, recordedAt))
      .filter((row): row is SummaryRow => row !== null)
    const writer = this.db.writer
    const tables = writer.getQueryInterface()
    await writer.query('BEGIN IMMEDIATE')
    try {
      await tables.bulkInsert('events', events.map(toRow))
      await tables.bulkInsert(
        'commands',
        written.map(({ waiting, answer }) => ({
          id: waiting.submission.context.commandId,
          body_hash: waiting.bodyHash,
          reply: JSON.stringify((answer as { reply: StoredReply }).reply),
        })),
      )
      await putSummaries(writer, summaries)
      for (const { waiting } of written) {
        const { beside } = waiting.submission
        if (beside) await writer.query(beside.sql, { bind: beside.bind })
      }
      await writer.query('COMMIT')
    } catch (error) {
      await writer.query('ROLLBACK').catch(() => undefined)
      throw error
    }
    for (const stream of touched) this.cache.set(stream, working.get(stream)!)
    this.position = events.at(-1)!.position
    this.publish(
      events,
      [...touched].map((stream) => working.get(stream)!.state),
    )
  }
}

function storageRefusal(error: unknown): Refusal {
  const text = String((error as Error).message)
  if (/SQLITE_FULL|disk is full/.test(text)) {
    return {
      code: 'disk-full',
      message:
        'The server’s disk is full, so nothing was stored. Your taps are kept here and are sent again; make room on the disk.',
    }
  }
  if (/SQLITE_BUSY|SQLITE_LOCKED/.test(text)) {
    return {
      code: 'busy',
      message:
        'The ledger is locked by another program. Your taps are kept and sent again; close whatever has the file open.',
    }
  }
  console.error('The ledger could not store a group of commands:', error)
  return {
    code: 'storage',
    message:
      'The server could not store this. Your taps are kept here and are sent again; ask the manager to look at the server’s log.',
  }
}

/** Rows of one summary kind, for the rooms' lists. */
export async function summariesOf<Data>(db: Connections, kind: string): Promise<Data[]> {
  const found = await rows<{ data: string }>(
    db.reader,
    'SELECT data FROM summaries WHERE kind = $1 ORDER BY changed_at DESC, stream LIMIT 500',
    [kind],
  )
  return found.map((row) => JSON.parse(row.data) as Data)
}
