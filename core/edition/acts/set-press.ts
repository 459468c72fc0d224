import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { press } from '../../stores/press/stream'
import { editLayer } from '../edit'
import { layerOf, type PressSetting, type PressSetup } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

interface Setting extends PressSetting {
  layerId: string
  pressId: string
}

const pressSet = defineEvent(edition, 'press-set', (state, data: { layerId: string; setup: PressSetup }, event) =>
  editLayer(state, data.layerId, (layer) => ({
    ...layer,
    setups: [...layer.setups, { seq: event.seq, setup: data.setup }],
  })),
)

/** The press is set up for a layer: packing and screws. */
export const setPress = defineAct(edition, 'set-press', theirs, {
  needs: (data: Setting) => ({ press: press.of(data.pressId) }),
  events: [pressSet],
  rule: ({ edition, press }, { layerId, pressId, ...setting }: Setting) => {
    if (!layerOf(edition, layerId)) return unknownLayer()
    if (press.name === '')
      return refuse('unknown-press', 'That press is not here. Add it first, or choose another.', 'pressId')
    return [pressSet.on(edition, { layerId, setup: { pressId, pressName: press.name, ...setting } })]
  },
})
