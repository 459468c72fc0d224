import { definePlainAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { layerOf } from '../layer'
import { livePullsOn } from '../pull'
import { unknownLayer } from '../refusals'
import { sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

interface Dry {
  layerId: string
  sheetIds: number[]
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
export const declareDry = definePlainAct(edition, 'declare-dry', theirs, {
  events: [declaredDry],
  rule: ({ edition }, data: Dry) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return unknownLayer()
    const bare = data.sheetIds.find((id) => {
      const sheet = sheetOf(edition, id)
      const isOn =
        sheet &&
        (sheet.laid.includes(layer.id) || livePullsOn(edition, sheet).some((pull) => pull.layerId === layer.id))
      return !isOn
    })
    if (bare !== undefined) return refuse('not-printed', `Sheet ${bare} does not carry ${layer.name}.`, 'sheetIds')
    return data.sheetIds.length === 0
      ? refuse('no-sheet', 'Choose the sheets that are dry.', 'sheetIds')
      : [declaredDry.on(edition, data)]
  },
})
