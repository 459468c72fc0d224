import type { AccountState } from '#core/account/state'
import type { CourseState } from '#core/course/state'
import { pullsFor } from '#core/edition/lock-up'
import { countEdition, figures } from '#core/edition/count'
import { openAsks } from '#core/edition/sign-offs'
import { layerAtPress, unfinished, waitingFor } from '#core/edition/stack'
import { isLive, newestPulls, type Pull } from '#core/edition/pull'
import { setupInForce } from '#core/edition/layer'
import type { EditionState } from '#core/edition/state'
import { streamId, streamKind } from '#core/ground/envelope'
import { emptyState, fold, type StreamState } from '#core/house/streams'
import { ownersOf } from '#core/house/who-sees'
import { planDefaults } from '#core/plan/defaults'
import { type EditionPlan, goal } from '#core/plan/plan'
import type { EditionPasses } from '#core/plan/shop-record'
import { passesOf } from '#core/edition/passes'
import type { BatchState } from '#core/stores/batch/state'
import type { BlockState } from '#core/stores/block/state'
import type { LotState } from '#core/stores/lot/state'
import type { TubState } from '#core/stores/tub/state'
import type { StationState } from '#core/station/state'
import type { PressState } from '#core/stores/press/state'
import type { RackState } from '#core/stores/rack/state'
import { stateWord } from '#core/edition/stops'
import { imagesOn, pieceSize } from '#core/paper/piece'
import { goodAt, type Stack, stackOf } from '#core/run/outlook'
import { tallied } from '#core/edition/tally'
import { pace, pacePulls } from '#core/run/pace'
import type { EditionSummary, Summary } from '#shared/replies/replies'
import { literal, Op, type Order, where, type WhereOptions } from 'sequelize'
import { rows } from './connections'
import { lastPosition, readStream, type StreamRead } from './events'
import { type Database, plain, type SummaryRow } from './tables'

/** Raise when a summary's shape changes; older ones are rebuilt from the ledger at the next start. */
export const summaryVersion = 19

/** Strokes kept for the small tally on the floor. */
const strokesShown = 25

/** As it is kept: what the chance is reckoned from instead of the chance, which moves with the shop's record. */
export interface StoredEditionSummary extends Omit<EditionSummary, 'chance' | 'chanceIsRough' | 'toStart'> {
  passes: EditionPasses
  stack: Stack
  reckoning: Pick<
    EditionPlan,
    'method' | 'work' | 'expected' | 'finishing' | 'size' | 'sizeSchool' | 'proofs' | 'start'
  >
  /** Whose it is: its artist and printers. */
  personIds: string[]
  /** What a set-up of it is found by beside what was set: of the whole edition, and the inks of each layer. */
  printedWith: { all: string; inks: Record<string, string> }
}

/** Artist, method, papers and kinds of block; the inks of a layer belong to that layer's set-ups alone. */
function printedWith({ plan, torn, blocks, layers }: EditionState): StoredEditionSummary['printedWith'] {
  const papers = torn.map(({ lotName }) => lotName)
  const kinds = blocks.map(({ block }) => block.kind)
  return {
    all: [...new Set([plan?.artist ?? '', plan?.method ?? '', ...papers, ...kinds])].join(' '),
    inks: Object.fromEntries(layers.map(({ id, zones }) => [id, zones.map(({ batchName }) => batchName).join(' ')])),
  }
}

/** What an edition without a plan is reckoned with. */
const unplanned = {
  ...planDefaults,
  method: 'single' as const,
  size: 0,
  sizeSchool: 'counted' as const,
  proofs: { AP: 0, PP: 0, HC: 0 },
}

function editionSummary(state: EditionState): StoredEditionSummary {
  const at = figures(state)
  const count = countEdition(state)
  const [last] = newestPulls(state, 1, (pull) => pull.disputed === null)
  const layer = layerAtPress(state)
  const left = layer ? waitingFor(state, layer) : 0
  const isHere = (pull: Pull) => pull.layerId === layer?.id
  const timed = newestPulls(state, pacePulls, (pull) => isHere(pull) && isLive(pull) && pull.kind === 'pull')
  const minutes = pace(timed.map((pull) => Date.parse(pull.at)))
  const { method, work, expected, finishing, size, sizeSchool, proofs, start } = state.plan ?? unplanned
  const piece = state.piece
    ? {
        lotId: state.piece.lotId,
        ...pieceSize(state.piece),
        grain: state.piece.grain,
        deckles: state.piece.deckles,
        strip: state.piece.strip,
        images: imagesOn(state.piece.images),
      }
    : null
  return {
    printedWith: printedWith(state),
    id: streamId(state.stream),
    title: state.title,
    artist: state.plan?.artist ?? '',
    method: state.plan?.method ?? '',
    state: stateWord(state),
    goal: state.plan ? goal(state.plan) : 0,
    size: state.plan?.size ?? 0,
    made: at.made,
    alive: at.alive,
    good: at.good,
    goodHere: layer ? goodAt(state, layer.id) : 0,
    doubtful: at.doubtful,
    rejects: at.rejects,
    drying: tallied(state, 'is drying'),
    signed: at.signed,
    numbered: at.numbered,
    impressions: tallied(state, 'live'),
    balances: count.balances,
    disputed: count.disputed,
    layers: state.layers.length,
    layerName: layer?.name ?? '',
    pressName: layer ? (setupInForce(layer)?.pressName ?? '') : '',
    left,
    unfinished: unfinished(state),
    minutesLeft: minutes === null || !layer ? null : minutes * pullsFor(state, layer, left),
    due: state.plan?.due ?? null,
    strokes: newestPulls(state, strokesShown, (pull) => isHere(pull) && pull.disputed === null).map((pull) => ({
      kind: pull.kind,
      verdict: pull.verdict,
      bat: state.standards.some(({ pullId }) => pullId === pull.pullId),
      voided: pull.voided,
    })),
    passes: passesOf(state),
    stack: stackOf(state),
    reckoning: { method, work, expected, finishing, size, sizeSchool, proofs, start },
    personIds: [...(ownersOf(state) ?? [])],
    piece,
    asks: openAsks(state).map(({ what, by, at }) => ({
      what,
      by,
      at,
      courseId: state.assignment?.courseId ?? null,
    })),
    lastPullAt: last?.at ?? null,
    lastPullBy: last?.by ?? null,
    changedAt: state.changedAt,
  }
}

/** A stream as lists have it: by its id. */
export function summaryOf<State extends { stream: string }>({ stream, ...state }: State): Summary<State> {
  return { id: streamId(stream), ...state }
}

interface Listed {
  lot: LotState
  batch: BatchState
  tub: TubState
  block: BlockState
  press: PressState
  rack: RackState
  station: StationState
  account: AccountState
  course: CourseState
}

/** What a stream is listed under and what else it is found by; null where it has no line. */
type Names<State> = (state: State) => { title: string; more?: string } | null

const namesOf: { [Kind in keyof Listed]: Names<Listed[Kind]> } = {
  lot: ({ name, maker }) => ({ title: name, more: maker }),
  batch: ({ name }) => ({ title: name }),
  tub: ({ name, maker }) => ({ title: name, more: maker }),
  block: ({ book }) => book && { title: book.block.name },
  press: ({ name }) => ({ title: name }),
  rack: ({ name }) => ({ title: name }),
  // A press has its own line.
  station: ({ name }) => ({ title: name }),
  account: () => ({ title: '' }),
  course: ({ name, term }) => ({ title: name, more: term }),
}

/** An edition is found by who signs it, how it is made, and its papers, blocks, inks and presses too. */
const wordsOf = ({ plan, torn, layers, blocks }: EditionState) => [
  plan?.artist ?? null,
  plan?.method ?? null,
  ...new Set(torn.map(({ lotName }) => lotName)),
  ...new Set(blocks.flatMap(({ block }) => [block.kind, block.name])),
  ...new Set(
    layers.flatMap((layer) => [
      layer.name,
      setupInForce(layer)?.pressName ?? null,
      ...layer.zones.map(({ batchName }) => batchName),
    ]),
  ),
]

/**
 * A stream's line for the lists, or null for streams that have none.
 * @param changedAt when its last event was stored: lists are in the order of the server's clock, never of a browser's
 */
export function summaryRow(state: StreamState, changedAt: string): SummaryRow | null {
  const kind = streamKind(state.stream)
  const row = (title: string, word: string, data: object, more: (string | null)[] = []): SummaryRow => ({
    stream: state.stream,
    kind,
    version: summaryVersion,
    title,
    state: word,
    changedAt,
    words: [title, ...more].filter(Boolean).join(' '),
    data: JSON.stringify(data),
  })
  if (kind === 'edition') {
    const edition = state as EditionState
    if (edition.plan === null) return null
    const summary = editionSummary(edition)
    return row(edition.title, summary.state, summary, wordsOf(edition))
  }
  const names = (namesOf as Partial<Record<string, Names<never>>>)[kind]?.(state as never)
  return names ? row(names.title, '', summaryOf(state), [names.more ?? null]) : null
}

const insertSummaries = `INSERT INTO summaries (stream, kind, version, title, state, changed_at, words, data)
  SELECT value ->> 0, value ->> 1, value ->> 2, value ->> 3, value ->> 4, value ->> 5, value ->> 6, value ->> 7
  FROM json_each($1) WHERE true
  ON CONFLICT (stream) DO UPDATE SET version = excluded.version, title = excluded.title, state = excluded.state,
    changed_at = excluded.changed_at, words = excluded.words, data = excluded.data`

/** Insert or replace summaries. @param run on the connection that writes */
export async function putSummaries(
  run: (sql: string, bind: unknown[]) => Promise<unknown>,
  given: readonly SummaryRow[],
): Promise<void> {
  if (given.length === 0) return
  const rows = given.map((row) => [
    row.stream,
    row.kind,
    row.version,
    row.title,
    row.state,
    row.changedAt,
    row.words,
    row.data,
  ])
  await run(insertSummaries, [JSON.stringify(rows)])
}

/** The summary of a stream as the ledger alone tells it. */
export function summaryFromEvents(stream: string, { events, recordedAt }: StreamRead): SummaryRow | null {
  return events.length === 0 ? null : summaryRow(fold(emptyState(stream), events), recordedAt)
}

/**
 * Rebuild summaries that are missing or of an older version, in pages; stops and goes on where it was, since a page
 * done is a page kept.
 */
export async function rebuildSummaries(
  writer: Database,
  long: Database,
  progress: (done: number, of: number) => void = () => {},
): Promise<number> {
  if ((await lastPosition(long)) === 0) return 0
  const [{ of } = { of: 0 }] = await rows<{ of: number }>(long, staleStreams('count(*) AS of'), [summaryVersion])
  let done = 0
  // Page by key: a stream that has no summary must not be asked for again and again.
  let after = ''
  for (;;) {
    const stale = await rows<{ stream: string }>(
      long,
      `${staleStreams('e.stream AS stream')} AND e.stream > $2 ORDER BY e.stream LIMIT 50`,
      [summaryVersion, after],
    )
    if (stale.length === 0) return done
    after = stale.at(-1)!.stream
    const page: SummaryRow[] = []
    for (const { stream } of stale) {
      const row = summaryFromEvents(stream, await readStream(long, stream))
      if (row) page.push(row)
    }
    await putSummaries((sql, bind) => writer.query(sql, { bind }), page)
    done += stale.length
    progress(done, of)
  }
}

function staleStreams(what: string): string {
  return `SELECT ${what} FROM (SELECT stream FROM events WHERE seq = 1 AND instr(stream, ':') > 0) AS e
    LEFT JOIN summaries AS s ON s.stream = e.stream WHERE (s.version IS NULL OR s.version < $1)`
}

/** The lines of a kind, the one that changed last first: for the rooms' lists and pickers. */
export async function summariesOf<Data>(db: Database, kind: string): Promise<Data[]> {
  return await dataOf<Data>(db, kind, [
    ['changedAt', 'DESC'],
    ['stream', 'ASC'],
  ])
}

/** The lines of a kind, in the order of their names: for what is given out whole. */
export async function allSummariesOf<Data>(db: Database, kind: string): Promise<Data[]> {
  return await dataOf<Data>(db, kind, [literal('title COLLATE NOCASE'), ['stream', 'ASC']])
}

async function dataOf<Data>(db: Database, kind: string, order: Order): Promise<Data[]> {
  const lines = await db.summaries.findAll({ attributes: ['data'], where: { kind }, order, raw: true })
  return plain<Pick<SummaryRow, 'data'>>(lines).map(({ data }) => JSON.parse(data) as Data)
}

/** The streams of a kind that have a line, the one that changed last first. @param where what else holds of their lines */
export async function streamsListed(
  db: Database,
  kind: string,
  { where: more = {}, limit }: { where?: WhereOptions<SummaryRow>; limit?: number } = {},
): Promise<string[]> {
  const lines = await db.summaries.findAll({
    attributes: ['stream'],
    where: { [Op.and]: [{ kind }, more] },
    order: [
      ['changedAt', 'DESC'],
      ['stream', 'DESC'],
    ],
    limit,
    raw: true,
  })
  return plain<Pick<SummaryRow, 'stream'>>(lines).map(({ stream }) => stream)
}

/** Of editions: work that goes on. */
export const notClosed: WhereOptions<SummaryRow> = { state: { [Op.ne]: 'closed' } }

/** Something of a line's data. `fn` would double the sign with which its path begins. */
export const inData = (name: string) => literal(`json_extract(data, '$.${name}')`)

/** Of editions: those that have some of what their line counts under a name. */
export const countsSome = (name: keyof StoredEditionSummary): WhereOptions<SummaryRow> => where(inData(name), Op.gt, 0)

/** A page of lines, and the key that the next one goes on from: null after the last. */
interface PageOfLines {
  lines: Pick<SummaryRow, 'stream' | 'changedAt' | 'data'>[]
  next: string | null
}

/**
 * A page of a kind's lines, the one that changed last first. Cut by key, so that a list that grows does not slip.
 * @param after the key that the page before gave
 */
export async function pageOfLines(
  db: Database,
  which: WhereOptions<SummaryRow>,
  length: number,
  after: string | undefined,
): Promise<PageOfLines> {
  const found = await db.summaries.findAll({
    attributes: ['stream', 'changedAt', 'data'],
    where: { [Op.and]: [which, after === undefined ? {} : beyond(after)] },
    order: [
      ['changedAt', 'DESC'],
      ['stream', 'DESC'],
    ],
    limit: length + 1,
    raw: true,
  })
  const lines = plain<PageOfLines['lines'][number]>(found).slice(0, length)
  const last = lines.at(-1)
  return { lines, next: found.length > length && last ? `${last.changedAt}|${last.stream}` : null }
}

/** Said so that the index leads to the first of them. */
function beyond(key: string): WhereOptions<SummaryRow> {
  const [changedAt = '', stream = ''] = key.split('|', 2)
  return {
    changedAt: { [Op.lte]: changedAt },
    [Op.or]: [{ changedAt: { [Op.lt]: changedAt } }, { stream: { [Op.lt]: stream } }],
  }
}
