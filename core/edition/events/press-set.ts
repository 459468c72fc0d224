import { defineEvent } from '../../ground/act'
import { type Packing, settingDefaults } from '../../press/stack'
import { editLayer } from '../edit'
import type { PressSetup } from '../layer'
import { edition } from '../stream'

/** Packing was a name and a thickness before the drawer was kept. */
const fromTheDrawer = (piece: Pick<Packing, 'name' | 'thickness'>): Packing => ({ pieceId: null, count: 1, ...piece })

/** How the press is set for a layer from here on. */
export const pressSet = defineEvent(
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
