import type { EditionState } from '#core/edition/state'
import { isStaff } from '#core/ground/who'
import { seenState, shareOf, type Viewer } from '#core/house/who-sees'
import type { StudioState } from '#core/stores/studio/state'
import type { EditionReply, EditionSummary, EditionsReply } from '#shared/replies/replies'
import type { EditionsQuery } from '#shared/queries/lists'
import { rows } from '../database/connections'
import type { StoredEditionSummary } from '../database/summaries'
import type { Pressroom } from './pressroom'
import { failure } from './failure'

const pageSize = 50

/** A pattern for LIKE in which the given text stands for itself. */
function containing(text: string): string {
  return `%${text.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`
}

/** The editions, newest change first, by title and state; pages are cut by key, so a list that grows does not slip. */
export async function listEditions(room: Pressroom, query: EditionsQuery): Promise<EditionsReply> {
  const limit = query.limit ?? pageSize
  const wheres = [`kind = 'edition'`]
  const bind: unknown[] = []
  const where = (sql: (n: number) => string, value: unknown) => {
    bind.push(value)
    wheres.push(sql(bind.length))
  }
  if (query.state) where((n) => `state = $${n}`, query.state)
  if (query.search?.trim()) where((n) => `title LIKE $${n} ESCAPE '\\'`, containing(query.search.trim()))
  const counted = rows<{ total: number }>(
    room.db.reader,
    `SELECT count(*) AS total FROM summaries WHERE ${wheres.join(' AND ')}`,
    [...bind],
  )
  if (query.after) {
    const [at, stream] = query.after.split('|')
    bind.push(at ?? '', stream ?? '')
    wheres.push(`(changed_at, stream) < ($${bind.length - 1}, $${bind.length})`)
  }
  const found = await rows<{ stream: string; changed_at: string; data: string }>(
    room.db.reader,
    `SELECT stream, changed_at, data FROM summaries WHERE ${wheres.join(' AND ')} ORDER BY changed_at DESC, stream DESC LIMIT ${limit + 1}`,
    bind,
  )
  const page = found.slice(0, limit)
  const last = page.at(-1)
  return {
    editions: page.map((row) => room.passBook.withChance(JSON.parse(row.data) as StoredEditionSummary)),
    next: found.length > limit && last ? `${last.changed_at}|${last.stream}` : null,
    total: (await counted)[0]?.total ?? 0,
  }
}

/** Lines of the list as somebody sees them: what is asked of staff is for them, and for whoever asked. */
export const linesFor = ({ role, personId }: Viewer, lines: readonly EditionSummary[]): EditionSummary[] =>
  lines.map((line) => (isStaff(role) ? line : { ...line, asks: line.asks.filter(({ by }) => by === personId) }))

/** An edition's state as somebody sees it. */
export const editionFor = (room: Pressroom, state: EditionState, viewer: Viewer): EditionState =>
  seenState(state, shareOf(viewer, state.stream, room.owners.isOwn))!

/** One edition as it stands, all of it, with the ledger position it stands for. */
export async function readEdition(room: Pressroom, id: string): Promise<EditionReply> {
  const stream = `edition:${id}`
  // Taken before the state is read: events stored in between are sent again, which the browser leaves out by `seq`.
  const position = room.ledger.position
  const state = await room.ledger.read<EditionState>(stream)
  if (state.plan === null)
    throw failure({
      code: 'unknown-edition',
      message: 'There is no such edition here. Go back to Editions and open it from the list.',
    })
  return {
    state,
    studio: await room.ledger.read<StudioState>('studio'),
    record: room.passBook.recordFor(stream),
    position,
  }
}
