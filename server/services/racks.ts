import { Op } from 'sequelize'
import { layerNumber, layerOf } from '#core/edition/layer'
import { layersOn } from '#core/edition/layers-on'
import { placeOf } from '#core/edition/places'
import { piecesUnder, type Sheet, sheetOf } from '#core/edition/sheet'
import type { EditionState } from '#core/edition/state'
import { streamId } from '#core/ground/envelope'
import { drynessOf } from '#core/run/dryness'
import type { RoomAirState } from '#core/stores/climate/state'
import type { StudioState } from '#core/stores/studio/state'
import type {
  BatchSummary,
  LotSummary,
  RackedStack,
  RacksReply,
  RackSummary,
  StackToLay,
} from '#shared/replies/replies'
import { countsSome, notClosed, streamsListed, summariesOf } from '../database/summaries'
import type { Pressroom } from './pressroom'

/** The racks of the room, what lies in them and how far it is, what is still to be laid in, and the air they stand in. */
export async function readRacks(room: Pressroom): Promise<RacksReply> {
  const { reader } = room.db
  const [racks, studio, air, batches, lots, wet] = await Promise.all([
    summariesOf<RackSummary>(reader, 'rack'),
    room.ledger.read<StudioState>('studio'),
    room.ledger.read<RoomAirState>('climate:room'),
    summariesOf<BatchSummary>(reader, 'batch'),
    summariesOf<LotSummary>(reader, 'lot'),
    editionsThatDry(room),
  ])
  const lain = racks.flatMap((rack) => rack.lain.map(({ editionId }) => editionId))
  const ids = [...new Set([...lain, ...wet])]
  const editions = await Promise.all(ids.map((id) => room.ledger.read<EditionState>(`edition:${id}`)))
  const byId = new Map(editions.map((state) => [streamId(state.stream), state]))
  const families = new Map(batches.map(({ id, family }) => [id, family]))
  const damp = new Set(lots.flatMap(({ id, damp }) => (damp ? [id] : [])))
  const dryingOf = (state: EditionState, layerId: string) =>
    drynessOf(
      state,
      layerId,
      {
        familyOf: (id) => families.get(id) ?? null,
        climate: studio.climate,
        isDamp: damp.has(state.piece?.lotId ?? ''),
      },
      room.passBook.recordFor(state.stream).touch,
    )
  return {
    racks: racks.sort((a, b) => a.name.localeCompare(b.name)),
    stacks: racks.flatMap((rack) => stacksIn(rack, byId, dryingOf)),
    toLay: wet.flatMap((id) => toLay(byId.get(id)!)),
    air,
    climate: studio.climate,
  }
}

async function editionsThatDry({ db }: Pressroom): Promise<string[]> {
  const isDrying = { [Op.and]: [notClosed, countsSome('drying')] }
  return (await streamsListed(db.reader, 'edition', { where: isDrying, limit: 40 })).map(streamId)
}

/** What lies in a rack, by edition and layer. */
function stacksIn(
  rack: RackSummary,
  editions: ReadonlyMap<string, EditionState>,
  dryingOf: (state: EditionState, layerId: string) => ReturnType<typeof drynessOf>,
): RackedStack[] {
  const stacks = new Map<string, RackedStack & { sheetIds: number[] }>()
  for (const { slot, editionId, title, layerId, layerName, sheetIds, at } of rack.lain) {
    const key = `${editionId} ${layerId}`
    const state = editions.get(editionId)!
    const dryness = dryingOf(state, layerId)
    const stack = stacks.get(key) ?? {
      rackId: rack.id,
      editionId,
      title,
      layerId,
      layerName: layerOf(state, layerId)?.name ?? layerName,
      slots: [],
      sheets: 0,
      laidAt: at,
      since: dryness?.since ?? null,
      drying: dryness?.drying ?? null,
      isDry: false,
      isPrintedOn: false,
      sheetIds: [],
    }
    stack.slots.push(slot)
    stack.sheetIds.push(...sheetIds)
    stack.sheets = stack.sheetIds.length
    if (at > stack.laidAt) stack.laidAt = at
    stacks.set(key, stack)
  }
  return [...stacks.values()].map(({ sheetIds, ...stack }) => {
    const state = editions.get(stack.editionId)!
    const sheets = sheetIds.flatMap((id) => sheetOf(state, id) ?? [])
    const number = layerNumber(state, stack.layerId)
    return {
      ...stack,
      isDry: sheets.every(({ dry }) => dry.includes(stack.layerId)),
      isPrintedOn: sheets.some((sheet) => layersOn(state, sheet).some((id) => layerNumber(state, id) > number)),
    }
  })
}

/** Sheets of an edition that dry and lie in no rack, by the layer that dries. */
function toLay(state: EditionState): StackToLay[] {
  const byLayer = new Map<number, Sheet[]>()
  for (const sheet of state.sheets) {
    const place = placeOf(state, sheet)
    if (place.kind !== 'drying' || (sheet.rack && !sheet.rack.isOut)) continue
    byLayer.set(place.layer, [...(byLayer.get(place.layer) ?? []), sheet])
  }
  return [...byLayer].map(([number, sheets]) => {
    const layer = state.layers[number - 1]!
    const [sheetIds, pieces] = [sheets.map(({ id }) => id), piecesUnder(sheets)]
    return {
      editionId: streamId(state.stream),
      title: state.title,
      layerId: layer.id,
      layerName: layer.name,
      sheetIds,
      pieces,
    }
  })
}
