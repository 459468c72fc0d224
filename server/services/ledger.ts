import { instantAt } from '#core/time/instant'
import { createHash } from 'node:crypto'
import canonicalize from 'canonicalize'
import type { Context, LedgerEvent } from '#core/ground/envelope'
import type { Refusal } from '#core/ground/refusal'
import { type Command, decide, emptyState, fold, ledTo, type StreamState, streamsFor } from '#core/house/streams'
import { hereZone, type Zone } from '#core/time/zone'
import type { StoredReply } from '#shared/replies/replies'
import type { Connections } from '../database/connections'
import { chainStart, eventsAfter, streamPages } from '../database/events'
import { type Head, headAfter, noHead, storedHead } from '../database/heads'
import { summaryRow } from '../database/summaries'
import { type Beside, type Group, type StoredCommand, storedCommands, storeGroup } from '../database/writing'
import { storageRefusal, stumbled } from './ledger-refusals'
import { disputeOf, placed } from './new-events'
import { type CachedState, StateCache } from './state-cache'

/** A command with who and where it came from, checked in shape. */
export interface Submission {
  command: Command
  context: Omit<Context, 'zone'>
  device: string
  /** The person whose session handed it in, when it was another's tap. */
  via: string | null
  /** Whose act the request said it was, and when: a repetition is known by what was sent, whoever hands it in. */
  said?: { by: string; at: string }
  /** What the browser's clock said, where that could not be. */
  claimedAt?: string | null
  /** When it counts as stored, for a history that is loaded; now, when not given. */
  recordedAt?: string
  /** Written in the same transaction. */
  beside?: Beside[]
}

export type Answer =
  | { status: 'stored'; reply: StoredReply; repeated: boolean; events: LedgerEvent[] }
  | { status: 'refused'; refusal: Refusal }
  | { status: 'conflict' }
  | { status: 'failed'; refusal: Refusal }

interface Waiting {
  submission: Submission
  bodyHash: string
  answer: (answer: Answer) => void
}

interface Outcome {
  waiting: Waiting
  answer: Answer
}

/** A group of commands while it is decided: what was known before, and how the streams stand after those decided so far. */
interface Deciding {
  known: Map<string, StoredCommand>
  working: Map<string, CachedState>
  events: LedgerEvent[]
  recordedAt: string
}

/** Most commands taken into one commit: more only lengthens the wait of the first. */
const groupSize = 256

function bodyHashOf({ command, context, said }: Submission): string {
  const body = canonicalize({
    type: command.type,
    stream: command.stream,
    data: command.data,
    expectedSeq: command.expectedSeq ?? null,
    by: said?.by ?? context.personId,
    at: said?.at ?? context.occurredAt,
  })
  return createHash('sha256').update(body!).digest('hex')
}

/**
 * The one writer. Commands wait in arrival order, are decided against cached states, and go to disk in groups of one
 * transaction each; a command is answered only when its group is durable.
 */
export class Ledger {
  private readonly cache = new StateCache()
  private readonly queue: Waiting[] = []
  private draining = false
  private head: Head = noHead
  /** Rises when a commit begins and when it ends: a read that saw no change was of one quiet stretch. */
  private stretch = 0

  constructor(
    private readonly db: Connections,
    private readonly publish: (events: LedgerEvent[], states: StreamState[]) => void,
    /** Says beside the ledger how far it reaches. */
    private readonly keepHead: (head: Head) => Promise<void> = async () => {},
    /** Whose days and hours the room keeps. */
    private readonly zone: () => Zone = hereZone,
  ) {}

  async open(): Promise<void> {
    this.head = await storedHead(this.db.reader)
  }

  /** Let a whole ledger be put into an empty one; what was read before counts no more. */
  async takeOver(act: () => Promise<void>): Promise<void> {
    this.stretch += 1
    try {
      await act()
      this.cache.clear()
      this.head = await storedHead(this.db.reader)
      await this.keepHead(this.head)
    } finally {
      this.stretch += 1
    }
  }

  /** Position of the newest event that is durable. */
  get position(): number {
    return this.head.position
  }

  /** How far the ledger reaches, and what it hashes to. */
  get reach(): Head {
    return this.head
  }

  /** Take a command in; resolves when it is durable or refused. */
  submit(submission: Submission): Promise<Answer> {
    return new Promise((resolve) => {
      this.queue.push({ submission, bodyHash: bodyHashOf(submission), answer: resolve })
      if (!this.draining) void this.drain()
    })
  }

  /** A stream as it stands now. What is read from disk is kept only when the writer wrote nothing meanwhile. */
  async read<State extends StreamState>(stream: string): Promise<State> {
    const known = this.cache.get(stream)
    if (known) return known.state as State
    const { stretch } = this
    const read = await this.fromDisk(stream)
    if (stretch === this.stretch && stretch % 2 === 0) this.cache.keep(read)
    return read.state as State
  }

  /** What a stream's events hash to, each with the one before, up to its last. */
  async hashOf(stream: string): Promise<{ seq: number; hash: string }> {
    const { state, hash } = this.cache.get(stream) ?? (await this.fromDisk(stream))
    return { seq: state.seq, hash }
  }

  private async fromDisk(stream: string): Promise<CachedState> {
    const standing: CachedState = { state: emptyState(stream), hash: chainStart }
    for await (const { events, hash } of streamPages(this.db.reader, stream))
      Object.assign(standing, { state: fold(standing.state, events), hash })
    return standing
  }

  private async drain(): Promise<void> {
    this.draining = true
    // Commands that arrive in the same turn of the event loop share a commit.
    await new Promise((resolve) => setImmediate(resolve))
    while (this.queue.length > 0) await this.commit(this.queue.splice(0, groupSize))
    this.draining = false
  }

  private async commit(group: Waiting[]): Promise<void> {
    const deciding: Deciding = {
      known: new Map(),
      working: new Map(),
      events: [],
      recordedAt: instantAt(Date.now()),
    }
    let outcomes: Outcome[] = []
    this.stretch += 1
    try {
      deciding.known = await storedCommands(
        this.db.prepared.reader,
        group.map((waiting) => waiting.submission.context.commandId),
      )
      for (const waiting of group) outcomes.push({ waiting, answer: await this.decideOne(waiting, deciding) })
      if (deciding.events.length > 0) await this.store(groupOf(this.head, outcomes, deciding))
    } catch (error) {
      for (const stream of deciding.working.keys()) this.cache.drop(stream)
      this.head = await storedHead(this.db.reader).catch(() => this.head)
      const refusal = storageRefusal(error)
      outcomes = group.map((waiting) => ({ waiting, answer: { status: 'failed', refusal } }))
      deciding.events = []
    }
    this.stretch += 1
    if (deciding.events.length > 0) this.stored(deciding)
    for (const { waiting, answer } of outcomes) waiting.answer(answer)
  }

  /** Durable in the ledger first, then said beside it; only then anyone is told. */
  private async store(group: Group): Promise<void> {
    await this.db.writing(() => storeGroup(this.db, group))
    const head = { position: group.events.at(-1)!.position, head: group.head }
    // The events are durable: a head that lags behind proves less, and is no reason to say they are not.
    await this.keepHead(head).catch((error: unknown) => console.error('The head could not be kept:', error))
    this.head = head
  }

  /** What is durable is kept, told and counted; nothing that goes wrong here makes it undone. */
  private stored({ events, working }: Deciding): void {
    for (const standing of working.values()) this.cache.keep(standing)
    const touched = [...new Set(events.map((event) => event.stream))].map((stream) => working.get(stream)!)
    try {
      this.publish(
        events,
        touched.map((standing) => standing.state),
      )
    } catch (error) {
      console.error(`Events to position ${this.position} are stored, but could not be told to every tab:`, error)
    }
  }

  /** Decide one command. Whatever it throws costs itself alone, never its neighbours in the group. */
  private async decideOne(waiting: Waiting, deciding: Deciding): Promise<Answer> {
    const { context, command } = waiting.submission
    const before = deciding.known.get(context.commandId)
    // Of a command that came with an early studio file only the id is known.
    if (before && before.bodyHash !== '' && before.bodyHash !== waiting.bodyHash) return { status: 'conflict' }
    if (before) {
      const events = await this.madeBy(before.reply, deciding)
      return { status: 'stored', reply: before.reply, repeated: true, events }
    }
    try {
      return await this.decideFresh(waiting, deciding)
    } catch (error) {
      const reference = context.commandId.slice(-8)
      console.error(`“${command.type}” on ${command.stream} stumbled (reference ${reference}):`, error)
      return { status: 'refused', refusal: stumbled(reference) }
    }
  }

  /** The events of a command that was answered before, in this group or long ago. */
  private async madeBy({ position, made }: StoredReply, { events }: Deciding): Promise<LedgerEvent[]> {
    const first = position - made + 1
    const here = events.filter((event) => event.position >= first && event.position <= position)
    return here.length > 0 ? here : await eventsAfter(this.db.reader, first - 1, made)
  }

  private async decideFresh(waiting: Waiting, deciding: Deciding): Promise<Answer> {
    const { command, context } = waiting.submission
    const { working, events } = deciding
    const states = new Map<string, StreamState>()
    const see = async (streams: readonly string[]) => {
      for (const stream of streams) {
        if (states.has(stream)) continue
        const standing = working.get(stream) ?? this.cache.get(stream) ?? (await this.fromDisk(stream))
        working.set(stream, standing)
        states.set(stream, standing.state)
      }
    }
    await see(streamsFor(command))
    await see(ledTo(command, states))
    const decision = decide(states, command, { ...context, zone: this.zone() })
    if ('refusal' in decision) return { status: 'refused', refusal: decision.refusal }
    const made = placed(
      waiting.submission,
      decision.events,
      working,
      this.position + events.length,
      waiting.submission.recordedAt ?? deciding.recordedAt,
    )
    for (const standing of made.standings.values()) working.set(standing.state.stream, standing)
    events.push(...made.events)
    const own = working.get(command.stream)!.state
    const reply: StoredReply = {
      position: made.events.at(-1)!.position,
      stream: command.stream,
      seq: own.seq,
      made: made.events.length,
      disputed: disputeOf(own, context.commandId),
    }
    deciding.known.set(context.commandId, { bodyHash: waiting.bodyHash, reply })
    return { status: 'stored', repeated: false, reply, events: made.events }
  }
}

/** What a decided group stores: of the commands those that made events, each stream’s list entry once. */
function groupOf(before: Head, outcomes: readonly Outcome[], { events, working }: Deciding): Group {
  const written = outcomes.flatMap(({ waiting, answer }) =>
    answer.status === 'stored' && !answer.repeated ? [{ waiting, reply: answer.reply }] : [],
  )
  const storedAt = new Map(events.map((event) => [event.stream, event.recordedAt]))
  return {
    events,
    head: events.reduce((head, { hash }) => headAfter(head, hash), before.head),
    commands: written.map(({ waiting, reply }) => ({
      id: waiting.submission.context.commandId,
      bodyHash: waiting.bodyHash,
      reply: JSON.stringify(reply),
    })),
    summaries: [...storedAt].flatMap(([stream, at]) => summaryRow(working.get(stream)!.state, at) ?? []),
    beside: written.flatMap(({ waiting }) => waiting.submission.beside ?? []),
  }
}
