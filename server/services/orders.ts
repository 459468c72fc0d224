import { instantAt } from '#core/time/instant'
import { type OrderLine, orderLines, type StockAsked, weeksBack } from '#core/office/order-list'
import { unfinished } from '#core/edition/stack'
import type { EditionState } from '#core/edition/state'
import { shares } from '#core/ink/component'
import { inUse } from '#core/press/drawer'
import { inkStanding } from '#core/run/ink-standing'
import { putAside } from '#core/stores/lot/state'
import type { StudioState } from '#core/stores/studio/state'
import type { BatchSummary, EditionSummary, LotSummary, PressSummary, TubSummary } from '#shared/replies/replies'
import { usedSince } from '../database/over-events'
import { allSummariesOf } from '../database/summaries'
import { openEditions } from './calendar'
import { listEditions } from './editions'
import type { Pressroom } from './pressroom'
import { sheetsFor } from './short'

const weeks = 7 * 24 * 3600_000

/** What is low in the store, with what the editions of the room will still take (paper, ink, packing). */
export async function readOrders(room: Pressroom, now: number): Promise<OrderLine[]> {
  const { reader } = room.db
  const [lots, tubs, batches, presses, { editions }, open, studio, used] = await Promise.all([
    allSummariesOf<LotSummary>(reader, 'lot'),
    allSummariesOf<TubSummary>(reader, 'tub'),
    allSummariesOf<BatchSummary>(reader, 'batch'),
    allSummariesOf<PressSummary>(reader, 'press'),
    listEditions(room, { limit: 200 }),
    openEditions(room),
    room.ledger.read<StudioState>('studio'),
    usedSince(room.db.long, instantAt(now - weeksBack * weeks)),
  ])
  return orderLines([
    ...papers(lots, editions, used),
    ...inks(room, tubs, batches, open, studio.confidence, used),
    ...packing(studio, presses),
  ])
}

const papers = (
  lots: readonly LotSummary[],
  editions: readonly EditionSummary[],
  used: ReadonlyMap<string, number>,
): StockAsked[] =>
  lots.map((lot) => ({
    kind: 'paper',
    id: lot.id,
    maker: lot.maker,
    name: lot.name,
    unit: 'sheets',
    left: lot.left - putAside(lot),
    wanted: editions.flatMap((edition) => {
      const amount = edition.piece?.lotId === lot.id ? sheetsFor(edition, lot) : 0
      return amount > 0 ? [{ title: edition.title, amount }] : []
    }),
    used: used.get(`lot:${lot.id}`) ?? 0,
  }))

/** What a batch is wanted for by every layer that still prints with it, g, and what is left of it. */
interface BatchWanted {
  components: BatchSummary['components']
  left: number
  total: number
  byTitle: Map<string, number>
}

function batchesWanted(
  room: Pressroom,
  batches: BatchSummary[],
  tubs: ReadonlyMap<string, TubSummary>,
  open: readonly EditionState[],
  confidence: number,
): BatchWanted[] {
  const found = new Map<string, BatchWanted>()
  for (const state of open.filter((one) => one.made === 0 || unfinished(one) > 0)) {
    const record = room.passBook.recordFor(state.stream)
    for (const layer of state.layers)
      for (const { batch, left, need } of inkStanding(state, layer.id, { batches, tubs, record, confidence })) {
        const before = found.get(batch.id)
        const one = before ?? {
          components: batch.components,
          left: left.milligrams / 1000,
          total: 0,
          byTitle: new Map(),
        }
        // Each layer reckons what its own pulls took: the least is left.
        one.left = Math.min(one.left, left.milligrams / 1000)
        one.total += need.amount.total
        one.byTitle.set(state.title, (one.byTitle.get(state.title) ?? 0) + need.amount.total)
        found.set(batch.id, one)
      }
  }
  return [...found.values()]
}

/** What layers take beyond what is left of their batch has to be mixed again, out of the tubs the batch was mixed from. */
function inks(
  room: Pressroom,
  tubs: readonly TubSummary[],
  batches: BatchSummary[],
  open: readonly EditionState[],
  confidence: number,
  used: ReadonlyMap<string, number>,
): StockAsked[] {
  const shelf = new Map(tubs.map((tub) => [tub.id, tub]))
  const wanted = new Map<string, Map<string, number>>()
  for (const { components, left, total, byTitle } of batchesWanted(room, batches, shelf, open, confidence)) {
    const short = (total - left) / total
    if (!(short > 0)) continue
    const parts = shares(components)
    for (const [i, { tubId }] of components.entries()) {
      if (tubId === null) continue
      const of = wanted.get(tubId) ?? new Map<string, number>()
      for (const [title, grams] of byTitle) of.set(title, (of.get(title) ?? 0) + grams * short * parts[i]!)
      wanted.set(tubId, of)
    }
  }
  return tubs.map(({ id, maker, name, left }) => ({
    kind: 'ink',
    id,
    maker,
    name,
    unit: 'g',
    left: left / 1000,
    wanted: [...(wanted.get(id) ?? [])].map(([title, amount]) => ({ title, amount })),
    used: (used.get(`tub:${id}`) ?? 0) / 1000,
  }))
}

/** Packing of which every piece lies in a press: one is missing at the next set-up. */
function packing({ drawer }: StudioState, presses: readonly PressSummary[]): StockAsked[] {
  const taken = inUse(presses.flatMap(({ standing }) => (standing ? [standing.setting] : [])))
  return drawer.map(({ id, name, count }) => {
    const left = count - (taken.get(id) ?? 0)
    return {
      kind: 'packing',
      id,
      maker: '',
      name,
      unit: 'pieces',
      left,
      wanted: left > 0 || count === 0 ? [] : [{ title: 'the next set-up', amount: 1 }],
      used: 0,
    }
  })
}
