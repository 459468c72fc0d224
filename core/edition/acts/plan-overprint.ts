import { Part } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { mostLayers, OverprintPlan } from '../../ink/roll-up'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class Overprint {
  static readonly sample: Overprint = {
    overprint: {
      paper: '#efe3c4',
      layers: [{ layerId: 'l', batchId: null, thickness: 8 }],
      wishes: [{ layers: ['l'], keep: 'paper', colour: null, layerId: null }],
    },
  }

  @Part(() => OverprintPlan) overprint!: OverprintPlan
}

const overprintPlanned = defineEvent(edition, 'overprint-planned', (state, { overprint }: Overprint) =>
  changed(state, { overprint }),
)

/** True when every wish names an overlap of the layers laid out, and what it should look like. */
function wishesFit({ layers, wishes }: OverprintPlan): boolean {
  // A layer of several zones lies as one film for each, told apart by its ink.
  const laid = (id: string | null) =>
    layers.some((layer) => layer.layerId === id || `${layer.layerId} ${layer.batchId}` === id)
  return wishes.every(
    (wish) =>
      wish.layers.length > 0 &&
      wish.layers.every(laid) &&
      (wish.keep !== 'layer' || laid(wish.layerId)) &&
      (wish.keep !== 'colour' || wish.colour !== null),
  )
}

/** The order of the layers is thought out, with the overlaps one cares for. */
export const planOverprint = defineAct(edition, 'plan-overprint', Overprint, theirs, {
  events: [overprintPlanned],
  rule: ({ edition }, data) => {
    const { layers } = data.overprint
    if (layers.length > mostLayers)
      return refuse(
        'too-many-layers',
        `At most ${mostLayers} layers are laid out; ${layers.length} were given.`,
        'layers',
      )
    if (layers.some((layer) => !layerOf(edition, layer.layerId))) return unknownLayer()
    if (layers.some((layer) => !(layer.thickness > 0)))
      return refuse('thickness-range', 'A film is thicker than nothing; 5 to 15 µm are usual.', 'layers')
    return wishesFit(data.overprint)
      ? [overprintPlanned.on(edition, data)]
      : refuse(
          'wish-unfit',
          'A wish names an overlap of the layers on the table and what it should look like. Make it again.',
          'wishes',
        )
  },
})
