import { Id, SheetIds, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { layerNumber, layerOf } from '../layer'
import { carriesLater } from '../layers-on'
import { heldFast, unknownLayer, unknownSheet } from '../refusals'
import { sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class Lifted {
  static readonly sample: Lifted = { layerId: 'l', sheetIds: [1], reason: 'counted one too many' }

  @Id('layer') layerId!: string
  @SheetIds() sheetIds!: number[]
  @Words(500) reason!: string
}

const layerLifted = defineEvent(edition, 'layer-lifted', (state, { layerId, sheetIds }: Lifted) =>
  sheetIds.reduce(
    (lifted, id) =>
      editSheet(lifted, id, (sheet) => ({
        ...sheet,
        laid: sheet.laid.filter((layer) => layer !== layerId),
        dry: sheet.dry.filter((layer) => layer !== layerId),
        curated: null,
      })),
    state,
  ),
)

/** A layer was counted on sheets that do not carry it: it is taken off them again, with the reason. */
export const liftLayer = defineAct(edition, 'lift-layer', Lifted, theirs, {
  events: [layerLifted],
  rule: ({ edition }, data) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return unknownLayer()
    if (data.sheetIds.length === 0) return refuse('no-sheet', 'Choose the sheets it is not on.', 'sheetIds')
    for (const id of data.sheetIds) {
      const sheet = sheetOf(edition, id)
      if (!sheet) return unknownSheet(id)
      if (sheet.parts.length > 0)
        return refuse('split', `Sheet ${id} has been split; choose its parts instead.`, 'sheetIds')
      if (!sheet.laid.includes(layer.id))
        return refuse('not-on-it', `${layer.name} is not laid on sheet ${id}.`, 'sheetIds')
      const held = heldFast(sheet)
      if (held) return held
      if (carriesLater(edition, sheet, layerNumber(edition, layer.id)))
        return refuse('later-layer', `Sheet ${id} carries a later layer. Take that off first.`, 'sheetIds')
    }
    return data.reason.trim() === ''
      ? reasonMissing('Say in a few words how it came to be counted.')
      : [layerLifted.on(edition, data)]
  },
})
