import { Length } from 'class-validator'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { Id, OrNull, Parts } from '../../ground/shape'
import { batch } from '../../stores/batch/stream'
import { editLayer } from '../edit'
import { layerOf, type Zone } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class ZoneChoice {
  @Id('zone') id!: string
  @Length(1, 60) name!: string
  @OrNull() @Id('batch') batchId!: string | null
}

class SetZones {
  static readonly sample: SetZones = { layerId: 'l', zones: [{ id: 'z', name: 'sky', batchId: null }] }

  @Id('layer') layerId!: string
  @Parts(() => ZoneChoice, 20, 1) zones!: ZoneChoice[]
}

const zonesSet = defineEvent(edition, 'zones-set', (state, { layerId, zones }: { layerId: string; zones: Zone[] }) =>
  editLayer(state, layerId, (layer) => ({ ...layer, zones })),
)

const batchIds = ({ zones }: SetZones) => zones.flatMap(({ batchId }) => batchId ?? [])

/** Which parts of a layer are inked apart, and with what. */
export const setZones = defineAct(edition, 'set-zones', SetZones, theirs, {
  needs: (data) => ({ batches: batchIds(data).map((id) => batch.of(id)) }),
  events: [zonesSet],
  rule: ({ edition, batches }, data) => {
    if (!layerOf(edition, data.layerId)) return unknownLayer()
    if (batches.some((one) => one.name === ''))
      return refuse('unknown-batch', 'That ink batch is not here. Mix it first, or choose another.', 'zones')
    const ids = batchIds(data)
    const nameOf = (id: string | null) => (id === null ? '' : batches[ids.indexOf(id)]!.name)
    const zones = data.zones.map((zone) => ({ ...zone, batchName: nameOf(zone.batchId) }))
    return [zonesSet.on(edition, { layerId: data.layerId, zones })]
  },
})
