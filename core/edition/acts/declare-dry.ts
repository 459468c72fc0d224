import { Id, SheetIds } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { layerOf } from '../layer'
import { countedPullsOn } from '../pull'
import { unknownLayer } from '../refusals'
import { sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class Dry {
  static readonly sample: Dry = { layerId: 'l', sheetIds: [1, 2] }

  @Id('layer') layerId!: string
  @SheetIds() sheetIds!: number[]
}

const declaredDry = defineEvent(edition, 'declared-dry', (state, { layerId, sheetIds }: Dry) =>
  sheetIds.reduce(
    (dried, id) =>
      editSheet(dried, id, (sheet) =>
        sheet.dry.includes(layerId) ? sheet : { ...sheet, dry: [...sheet.dry, layerId] },
      ),
    state,
  ),
)

/** A person has felt that a layer is dry on these sheets. */
export const declareDry = defineAct(edition, 'declare-dry', Dry, theirs, {
  events: [declaredDry],
  rule: ({ edition }, data) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return unknownLayer()
    const bare = data.sheetIds.find((id) => {
      const sheet = sheetOf(edition, id)
      const isOn =
        sheet &&
        (sheet.laid.includes(layer.id) || countedPullsOn(edition, sheet).some((pull) => pull.layerId === layer.id))
      return !isOn
    })
    if (bare !== undefined) return refuse('not-printed', `Sheet ${bare} does not carry ${layer.name}.`, 'sheetIds')
    return data.sheetIds.length === 0
      ? refuse('no-sheet', 'Choose the sheets that are dry.', 'sheetIds')
      : [declaredDry.on(edition, data)]
  },
})
