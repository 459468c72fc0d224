import { literal, Op, type WhereOptions } from 'sequelize'
import type { EditionState } from '#core/edition/state'
import { isStaff } from '#core/ground/who'
import { seenState, shareOf, type Viewer } from '#core/house/who-sees'
import type { StudioState } from '#core/stores/studio/state'
import type { EditionReply, EditionSummary, EditionsReply } from '#shared/replies/replies'
import type { EditionsQuery } from '#shared/queries/lists'
import { pageOfLines, type StoredEditionSummary } from '../database/summaries'
import type { SummaryRow } from '../database/tables'
import type { Pressroom } from './pressroom'
import { failure } from './failure'

const pageSize = 50

/** With that in their title, capital or small. `fn` would double a sign that stands before bound values. */
const titled = ({ db: { reader } }: Pressroom, text: string) =>
  literal(`instr(lower(title), lower(${reader.escape(text)})) > 0`)

/** The editions, newest change first, by title and state. */
export async function listEditions(room: Pressroom, query: EditionsQuery): Promise<EditionsReply> {
  const search = query.search?.trim()
  const which: WhereOptions<SummaryRow> = {
    kind: 'edition',
    ...(query.state && { state: query.state }),
    ...(search && { [Op.and]: titled(room, search) }),
  }
  const [total, { lines, next }] = await Promise.all([
    room.db.reader.summaries.count({ where: which }),
    pageOfLines(room.db.reader, which, query.limit ?? pageSize, query.after),
  ])
  return {
    editions: lines.map(({ data }) => room.passBook.withChance(JSON.parse(data) as StoredEditionSummary)),
    next,
    total,
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
