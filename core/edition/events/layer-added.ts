import { defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import { newLayer, type Zone } from '../layer'
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
    layers: appended(state.layers, newLayer(data)),
  }),
)
