import { Id, SheetIds } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer, unknownSheet } from '../refusals'
import { sheetOf } from '../sheet'
import { isDryFor, isWaiting } from '../stack'
import { edition } from '../stream'
import { theirs } from '../who'

class Laid {
  static readonly sample: Laid = { layerId: 'l', sheetIds: [1] }

  @Id('layer') layerId!: string
  @SheetIds() sheetIds!: number[]
}

const layerLaid = defineEvent(edition, 'layer-laid', (state, { layerId, sheetIds }: Laid) =>
  sheetIds.reduce(
    (laid, id) =>
      editSheet(laid, id, (sheet) =>
        sheet.laid.includes(layerId)
          ? sheet
          : {
              ...sheet,
              laid: [...sheet.laid, layerId],
              dry: sheet.dry.filter((layer) => layer !== layerId),
              curated: null,
            },
      ),
    state,
  ),
)

/** A layer is laid on sheets without a press: they are gilded, or were coloured before. */
export const layLayer = defineAct(edition, 'lay-layer', Laid, theirs, {
  events: [layerLaid],
  rule: ({ edition }, data) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return unknownLayer()
    if (!layer.withoutPull)
      return refuse('is-pulled', `${layer.name} is pulled at a press. Say under Plan that it is laid without one.`)
    if (data.sheetIds.length === 0) return refuse('no-sheet', 'Choose the sheets that carry it now.', 'sheetIds')
    for (const id of data.sheetIds) {
      const sheet = sheetOf(edition, id)
      if (!sheet) return unknownSheet(id)
      if (!isWaiting(edition, layer, id))
        return refuse('not-waiting', `Sheet ${id} does not wait for ${layer.name}.`, 'sheetIds')
      if (!isDryFor(edition, sheet, layer))
        return refuse('not-dry', `Nobody has said that the layer beneath is dry on sheet ${id}.`, 'sheetIds')
    }
    return [layerLaid.on(edition, { ...data, sheetIds: [...new Set(data.sheetIds)] })]
  },
})
