import { defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import { dryingDefaults } from '../../drying/moments'
import { asTorn } from '../../register/growth'
import type { Zone } from '../layer'
import { edition } from '../stream'

interface LayerAdded {
  layerId: string
  name: string
  blocks: string[]
  zones: Zone[]
}

/** A layer more, planned with the edition or added as one goes. */
export const layerAdded = defineEvent(edition, 'layer-added', (state, data: LayerAdded) =>
  changed(state, {
    layers: appended(state.layers, {
      id: data.layerId,
      name: data.name,
      blocks: data.blocks,
      zones: data.zones,
      routine: '',
      fills: 1,
      stackOrder: 'pulled',
      rollUp: null,
      blend: null,
      setups: [],
      settling: asTorn,
      drying: dryingDefaults,
      withoutPull: false,
      cutFurther: false,
    }),
  }),
)
