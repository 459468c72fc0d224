import { Id, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import { editLayer } from '../edit'
import { layerNumber, layerOf } from '../layer'
import { isBegun } from '../pull'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirsSignedOff } from '../who'

class CutTakenBack {
  static readonly sample: CutTakenBack = { layerId: 'l', reason: 'it was only inked up' }

  @Id('layer') layerId!: string
  @Words(500) reason!: string
}

const cutTakenBack = defineEvent(edition, 'cut-taken-back', (state, { layerId }: CutTakenBack) =>
  editLayer(state, layerId, (layer) => ({ ...layer, cutFurther: false })),
)

/** The block was not cut after all: until the next layer has met a sheet, that can be said. */
export const takeBackCut = defineAct(edition, 'take-back-cut', CutTakenBack, theirsSignedOff, {
  guarded: true,
  events: [cutTakenBack],
  rule: ({ edition }, data) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return unknownLayer()
    if (!layer.cutFurther) return refuse('not-cut', 'This block has not been cut further.')
    const next = edition.layers[layerNumber(edition, data.layerId)]
    if (next && isBegun(edition, next.id))
      return refuse(
        'next-layer-pulled',
        `${next.name} has been pulled from the next state. Void its pulls first, if they are not of it.`,
      )
    if (data.reason.trim() === '')
      return reasonMissing('Say why the cut is taken back, so that the record can be read later.')
    return [cutTakenBack.on(edition, data)]
  },
})
