import { type Layer, layerOf } from '../edition/layer'
import type { EditionState } from '../edition/state'
import { predictedBatch, type Shelf } from '../ink/shelf'
import type { ShopRecord } from '../plan/shop-record'
import type { BatchState } from '../stores/batch/state'
import { type InkLeft, inkLeft } from './ink-left'
import { type InkKnown, inkNeed, perPull, type ZoneNeed } from './ink-need'

type Batch = Omit<BatchState, 'stream'> & { id: string }

/** The inks of a room, and what it expects of its pulls. */
export interface InkRoom {
  batches: readonly Batch[]
  tubs: Shelf['tubs']
  record: ShopRecord
  confidence: number
}

/** What a room knows of a layer's ink: weighed runs, densities of its batches, pass rates. */
export function inkKnown(layer: Layer, { batches, tubs, record, confidence }: InkRoom): InkKnown {
  const shelf: Shelf = { tubs, batches: new Map(batches.map((batch) => [batch.id, batch])) }
  const density = layer.zones.flatMap(({ id, batchId }) => {
    const batch = batchId === null ? undefined : shelf.batches.get(batchId)
    const mix = batch && predictedBatch(batch, shelf, [batchId!])
    return mix ? [[id, mix.density] as const] : []
  })
  return { runs: batches.flatMap((batch) => batch.runs), density: new Map(density), record, confidence }
}

/** Whether the ink of one zone lasts for the layer. */
export interface ZoneStanding {
  need: ZoneNeed
  batch: Batch
  left: InkLeft
  isShort: boolean
}

/** The inks a layer still prints with, each beside what it still takes (models.md, M4); zones without a batch are left out. */
export function inkStanding(state: EditionState, layerId: string, room: InkRoom): ZoneStanding[] {
  const layer = layerOf(state, layerId)
  if (!layer) return []
  return inkNeed(state, layerId, inkKnown(layer, room)).flatMap((need) => {
    const batchId = layer.zones.find((zone) => zone.id === need.zoneId)?.batchId
    const batch = room.batches.find((one) => one.id === batchId)
    if (!batch || need.job.impressions === 0) return []
    const left = inkLeft(batch, state, perPull(need))
    return [{ need, batch, left, isShort: need.amount.total * 1000 > left.milligrams }]
  })
}
