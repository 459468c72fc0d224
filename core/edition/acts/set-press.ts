import { defineAct, defineEvent } from '../../ground/act'
import type { Role } from '../../ground/envelope'
import { refuse } from '../../ground/refusal'
import { isStaff } from '../../ground/who'
import { type Packing, type PressSetting, settingDefaults } from '../../press/stack'
import { pressUsed } from '../../stores/press/events/press-used'
import type { PressUsers } from '../../stores/press/state'
import { press } from '../../stores/press/stream'
import { editLayer } from '../edit'
import { layerOf, type PressSetup } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

interface Setting extends PressSetting {
  layerId: string
  pressId: string
}

/** Packing was a name and a thickness before the drawer was kept. */
const fromTheDrawer = (piece: Pick<Packing, 'name' | 'thickness'>): Packing => ({ pieceId: null, count: 1, ...piece })

const pressSet = defineEvent(
  edition,
  'press-set',
  (state, data: { layerId: string; setup: PressSetup }, event) =>
    editLayer(state, data.layerId, (layer) => ({
      ...layer,
      setups: [...layer.setups, { seq: event.seq, setup: data.setup }],
    })),
  [
    (data) => {
      const setup = data.setup as PressSetup
      return { ...data, setup: { ...settingDefaults, ...setup, packing: setup.packing.map(fromTheDrawer) } }
    },
  ],
)

const mayUse = (users: PressUsers, role: Role) =>
  users === 'everybody' || isStaff(role) || (users === 'members' && role === 'member')

/** The press is set up for a layer: packing and screws. */
export const setPress = defineAct(edition, 'set-press', theirs, {
  needs: (data: Setting) => ({ press: press.of(data.pressId) }),
  events: [pressSet, pressUsed],
  rule: ({ edition, press }, { layerId, pressId, ...setting }: Setting, { role }) => {
    const layer = layerOf(edition, layerId)
    if (!layer) return unknownLayer()
    if (press.name === '')
      return refuse('unknown-press', 'That press is not here. Add it first, or choose another.', 'pressId')
    if (!mayUse(press.users, role))
      return refuse(
        'press-not-theirs',
        press.users === 'staff'
          ? `${press.name} is set up by staff. Ask one of them to.`
          : `${press.name} is set up by members and staff. Ask one of them to.`,
        'pressId',
      )
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
