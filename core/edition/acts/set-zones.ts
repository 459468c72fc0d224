import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { batch } from '../../stores/batch/stream'
import { editLayer } from '../edit'
import { layerOf, type Zone } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

interface Zones {
  layerId: string
  zones: { id: string; name: string; batchId: string | null }[]
}

const zonesSet = defineEvent(edition, 'zones-set', (state, { layerId, zones }: { layerId: string; zones: Zone[] }) =>
  editLayer(state, layerId, (layer) => ({ ...layer, zones })),
)

const batchIds = ({ zones }: Zones) => zones.flatMap(({ batchId }) => batchId ?? [])

/** Which parts of a layer are inked apart, and with what. */
export const setZones = defineAct(edition, 'set-zones', theirs, {
  needs: (data: Zones) => ({ batches: batchIds(data).map((id) => batch.of(id)) }),
  events: [zonesSet],
  rule: ({ edition, batches }, data: Zones) => {
    if (!layerOf(edition, data.layerId)) return unknownLayer()
    if (data.zones.length === 0) return refuse('no-zone', 'A layer has at least one inked zone.', 'zones')
    if (batches.some((one) => one.name === ''))
      return refuse('unknown-batch', 'That ink batch is not here. Mix it first, or choose another.', 'zones')
    const ids = batchIds(data)
    const nameOf = (id: string | null) => (id === null ? '' : batches[ids.indexOf(id)]!.name)
    const zones = data.zones.map((zone) => ({ ...zone, batchName: nameOf(zone.batchId) }))
    return [zonesSet.on(edition, { layerId: data.layerId, zones })]
  },
})
