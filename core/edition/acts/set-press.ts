import { Id } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { PressSetting } from '../../press/stack'
import { notTheirs } from '../../stores/press/fault'
import { edgeFault } from '../../press/edges'
import { pressUsed } from '../../stores/press/events/press-used'
import { studio } from '../../stores/studio/stream'
import { press } from '../../stores/press/stream'
import { dayGate, pressGate } from '../gates'
import { pressSet } from '../events/press-set'
import { layerOf } from '../layer'
import { sectionOf } from '../section'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class Setting extends PressSetting {
  static readonly sample: Setting = {
    layerId: 'l',
    pressId: 'p',
    packing: [{ name: 'felt', thickness: 2.4, pieceId: 'felt', count: 1 }],
    block: { name: 'key block', thickness: 23.3 },
    sheet: 0.3,
    nip: 0.3,
    left: { turns: 1, divisions: 3.5 },
    right: { turns: 1, divisions: 3.5 },
    note: '',
  }

  @Id('layer') layerId!: string
  @Id('press') pressId!: string
}

/** The press is set up for a layer: packing and screws. */
export const setPress = defineAct(edition, 'set-press', Setting, theirs, {
  needs: (data) => ({ press: press.of(data.pressId), studio: studio.of() }),
  events: [pressSet, pressUsed],
  rule: ({ edition, press, studio }, { layerId, pressId, ...setting }, asker) => {
    const layer = layerOf(edition, layerId)
    if (!layer) return unknownLayer()
    if (press.name === '')
      return refuse('unknown-press', 'That press is not here. Add it first, or choose another.', 'pressId')
    const others =
      dayGate(edition, asker) ??
      notTheirs(press, asker.role) ??
      pressGate(edition, { id: pressId, name: press.name }, studio, asker)
    if (others) return others
    const edge = edgeFault(press.kind, sectionOf(edition, studio.drawer, setting))
    if (edge) return refuse('edge-under-roller', edge, 'packing')
    return [
      pressSet.on(edition, { layerId, setup: { pressId, pressName: press.name, ...setting } }),
      pressUsed.on(press, {
        editionStream: edition.stream,
        title: edition.title,
        layerId,
        layerName: layer.name,
        setting,
      }),
    ]
  },
})
