import type { EditionState } from '#core/edition/state'
import { layerAtPress } from '#core/edition/stack'
import { inkLeft } from '#core/run/ink-left'
import { inkNeed, perPull } from '#core/run/ink-need'
import type { BatchState } from '#core/stores/batch/state'
import type { StudioState } from '#core/stores/studio/state'
import type { BatchSummary, EditionSummary, FloorReply, LotSummary } from '#shared/replies/replies'
import { rows } from '../database/connections'
import { summariesOf } from '../database/summaries'
import { listEditions } from './editions'
import type { Pressroom } from './pressroom'

const sinceShown = 12 * 3600_000

/** What is happening now, and what waits for a person. */
export async function readFloor(room: Pressroom, now: number): Promise<FloorReply> {
  const { editions } = await listEditions(room, { limit: 200 })
  const open = editions.filter((edition) => edition.state !== 'closed')
  const running = room.pulledLately
    .since(now - sinceShown)
    .flatMap((id) => open.find((edition) => edition.id === id && edition.unfinished > 0) ?? [])
  return {
    running,
    decisions: open.flatMap(decisionsFor),
    drying: open.flatMap(({ id, title, drying }) => (drying > 0 ? [{ editionId: id, title, sheets: drying }] : [])),
    short: [...(await shortPaper(room, open)), ...(await shortInk(room, running))],
    counts: await rows<{ state: string; editions: number }>(
      room.db.reader,
      `SELECT state, count(*) AS editions FROM summaries WHERE kind = 'edition' GROUP BY state`,
    ),
  }
}

type Short = FloorReply['short']

/** Stacks not yet on the press and not torn to their number, and lots of which more was torn than the book had. */
async function shortPaper(room: Pressroom, open: readonly EditionSummary[]): Promise<Short> {
  const stacks = open.flatMap(({ id, title, made, impressions, toStart }) =>
    made > 0 && impressions === 0 && toStart && toStart.sheets > made
      ? [{ what: `Paper for ${title}`, why: `${made} of ${toStart.sheets} sheets torn.`, to: `/editions/${id}/paper` }]
      : [],
  )
  const lots = (await summariesOf<LotSummary>(room.db.reader, 'lot'))
    .filter(({ left }) => left < 0)
    .map(({ name, left }) => ({ what: name, why: `The book is ${-left} sheets short. Count it.`, to: '/paper' }))
  return [...stacks, ...lots]
}

/** Inks at the presses that do not last for the layer, as far as the room knows its films. */
async function shortInk(room: Pressroom, running: readonly EditionSummary[]): Promise<Short> {
  if (running.length === 0) return []
  const studio = await room.ledger.read<StudioState>('studio')
  const runs = (await summariesOf<BatchSummary>(room.db.reader, 'batch')).flatMap((batch) => batch.runs)
  const found = await Promise.all(
    running.map(async ({ id, title }) => {
      const state = await room.ledger.read<EditionState>(`edition:${id}`)
      const layer = layerAtPress(state)
      if (!layer) return []
      const record = room.passBook.recordFor(state.stream)
      const needs = inkNeed(state, layer.id, { runs, density: new Map(), record, confidence: studio.confidence })
      return await Promise.all(
        needs.map(async (need) => {
          const batchId = layer.zones.find((zone) => zone.id === need.zoneId)?.batchId
          if (!batchId || need.job.impressions === 0) return []
          const batch = await room.ledger.read<BatchState>(`batch:${batchId}`)
          const left = inkLeft({ ...batch, id: batchId }, state, perPull(need)).milligrams / 1000
          return left >= need.amount.total
            ? []
            : [
                {
                  what: `${batch.name} for ${title}`,
                  why: `about ${left.toFixed(0)} g left, ${need.amount.total.toFixed(0)} g needed.`,
                  to: `/editions/${id}/ink?layer=${layer.id}`,
                },
              ]
        }),
      )
    }),
  )
  return found.flat(2)
}

type Waiting = FloorReply['decisions'][number]

/** What an edition waits for, the most pressing first. */
function decisionsFor(edition: EditionSummary): Waiting[] {
  const found: Waiting[] = []
  const add = (what: string, why: string, stop: string) =>
    found.push({ editionId: edition.id, title: edition.title, what, why, stop })
  if (edition.disputed > 0)
    add(
      `Settle ${edition.disputed} disputed ${edition.disputed === 1 ? 'pull' : 'pulls'} of ${edition.title}`,
      'They arrived late or took a sheet that was gone. Nothing is lost.',
      'pull',
    )
  if (!edition.balances) add(`Look at the count of ${edition.title}`, 'It does not balance.', 'pull')
  if (edition.state === 'numbering')
    add(
      `Curate and number ${edition.title}`,
      `${edition.good} good, ${edition.doubtful} doubtful of ${edition.goal} wanted.`,
      'curate',
    )
  if (edition.state === 'signing' && edition.signed < edition.numbered)
    add(`Sign ${edition.title}`, `${edition.signed} of ${edition.numbered} signed.`, 'sign')
  if (edition.state === 'signing' && edition.signed === edition.numbered)
    add(`Close ${edition.title}`, `All ${edition.numbered} prints are signed.`, 'close')
  if (edition.state === 'pulling' && edition.chance < 0.8)
    add(
      `Go on with ${edition.title}?`,
      `${edition.alive} sheets alive for ${edition.goal}: chance ${Math.round(edition.chance * 100)} %.`,
      'pull',
    )
  return found
}
