import { pluralise } from '#core/units/pluralise'
import { layerAtPress } from '#core/edition/stack'
import type { EditionState } from '#core/edition/state'
import { planTears } from '#core/paper/tear-plan'
import type { PieceWanted } from '#core/paper/tear-request'
import { inkStanding } from '#core/run/ink-standing'
import type { StudioState } from '#core/stores/studio/state'
import type { BatchSummary, EditionSummary, FloorReply, LotSummary, TubSummary } from '#shared/replies/replies'
import { summariesOf } from '../database/summaries'
import type { Pressroom } from './pressroom'

type Short = FloorReply['short']

/** What a room has too little of for the editions it has open. */
export async function readShort(
  room: Pressroom,
  open: readonly EditionSummary[],
  running: readonly EditionSummary[],
): Promise<Short> {
  return [...(await shortPaper(room, open)), ...(await shortInk(room, running))]
}

/** Stacks not yet on the press and not torn to their number, lots that cannot give what is wanted of them, and lots whose book is wrong. */
async function shortPaper(room: Pressroom, open: readonly EditionSummary[]): Promise<Short> {
  const stacks = open.flatMap(({ id, title, made, impressions, toStart }) =>
    made > 0 && impressions === 0 && toStart && toStart.sheets > made
      ? [{ what: `Paper for ${title}`, why: `${made} of ${toStart.sheets} sheets torn.`, to: `/editions/${id}/paper` }]
      : [],
  )
  const lots = (await summariesOf<LotSummary>(room.db.reader, 'lot')).flatMap((lot) => {
    const { name, left } = lot
    if (left < 0)
      return [
        { what: name, why: `The book is ${-left} ${left === -1 ? 'sheet' : 'sheets'} short. Count it.`, to: '/paper' },
      ]
    const wanted = open.flatMap((edition) => {
      const sheets = edition.piece?.lotId === lot.id ? sheetsFor(edition, lot) : 0
      return sheets > 0 ? [{ title: edition.title, sheets }] : []
    })
    const all = wanted.reduce((sum, { sheets }) => sum + sheets, 0)
    if (all <= left) return []
    const whom = wanted.map(({ title }) => title).join(', ')
    return [{ what: name, why: `${pluralise(all, 'sheet')} wanted for ${whom}, ${left} there.`, to: '/paper' }]
  })
  return [...stacks, ...lots]
}

/** Large sheets an edition still takes of a lot before its first pull; 0 when its piece does not fit. */
export function sheetsFor({ piece, toStart, made, impressions }: EditionSummary, lot: LotSummary): number {
  if (!piece || !toStart || impressions > 0) return 0
  const perSheet = piecesPerSheet(lot, piece, piece.strip)
  return perSheet === 0 ? 0 : Math.ceil(Math.max(0, toStart.sheets - made) / (perSheet * piece.images))
}

/** The floor is read at every stroke, the search of a tear takes some milliseconds: what was found is kept. */
const found = new Map<string, number>()
const keptAtMost = 500

function piecesPerSheet(lot: LotSummary, { width, height, grain, deckles }: PieceWanted, strip: number): number {
  const sheet = { width: lot.width, height: lot.height, deckles: lot.deckles, allowance: 0, grain: lot.grain }
  const request = { sheet, piece: { width, height, grain, deckles }, count: 1, strip, price: 0, block: null }
  const key = JSON.stringify(request)
  const known = found.get(key)
  if (known !== undefined) return known
  const { perSheet } = planTears(request)
  if (found.size >= keptAtMost) found.clear()
  found.set(key, perSheet)
  return perSheet
}

/** Inks at the presses that do not last for the layer. */
async function shortInk(room: Pressroom, running: readonly EditionSummary[]): Promise<Short> {
  if (running.length === 0) return []
  const [studio, batches, tubs] = await Promise.all([
    room.ledger.read<StudioState>('studio'),
    summariesOf<BatchSummary>(room.db.reader, 'batch'),
    summariesOf<TubSummary>(room.db.reader, 'tub'),
  ])
  const store = { batches, tubs: new Map(tubs.map((tub) => [tub.id, tub])), confidence: studio.confidence }
  const shorts = await Promise.all(
    running.map(async ({ id, title }) => {
      const state = await room.ledger.read<EditionState>(`edition:${id}`)
      const layer = layerAtPress(state)
      if (!layer) return []
      const record = room.passBook.recordFor(state.stream)
      return inkStanding(state, layer.id, { ...store, record })
        .filter(({ isShort }) => isShort)
        .map(({ batch, left, need }) => ({
          what: `${batch.name} for ${title}`,
          why: `about ${(left.milligrams / 1000).toFixed(0)} g left, ${need.amount.total.toFixed(0)} g needed.`,
          to: `/editions/${id}/ink?layer=${layer.id}`,
        }))
    }),
  )
  return shorts.flat()
}
