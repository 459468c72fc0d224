import { blendFault, mostLayers, rollUpFault } from '../ink/roll-up'
import { type Decision, refuse } from '../ledger/envelope'
import { layerOf } from './state'
import { only, type Rules } from './rule'

type Inking = 'set-roll-up' | 'set-inked-share' | 'plan-overprint' | 'plan-blend'

function noSuchLayer(): Decision {
  return refuse(
    'unknown-layer',
    'That layer is not part of this edition. Reload the page and choose a layer from the list.',
    'layerId',
  )
}

/** How the layers are inked, before and while they are pulled. */
export const inkingRules: Rules<Inking> = {
  'set-roll-up': ({ edition }, data) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return noSuchLayer()
    if (data.rollUp.zones.some((zone) => !layer.zones.some((known) => known.id === zone.zoneId)))
      return refuse(
        'unknown-zone',
        'A zone was taken out meanwhile. Reload the page and give its share again.',
        'zones',
      )
    const fault = rollUpFault(data.rollUp)
    return fault ? refuse('roll-up-unfit', fault.message, fault.field) : only(edition, 'roll-up-set', data)
  },

  'set-inked-share': ({ edition }, data) => {
    if (!edition.blocks.some((block) => block.id === data.blockId))
      return refuse(
        'unknown-block',
        'That block is not part of this edition. Reload the page and choose a block from the list.',
        'blockId',
      )
    return data.share >= 0 && data.share <= 1
      ? only(edition, 'inked-share-found', data)
      : refuse('share-range', 'The inked share lies between 0 and 100 % of the block.', 'share')
  },

  'plan-overprint': ({ edition }, data) => {
    const { layers, wishes } = data.overprint
    if (layers.length > mostLayers)
      return refuse(
        'too-many-layers',
        `At most ${mostLayers} layers are laid out; ${layers.length} were given.`,
        'layers',
      )
    if (layers.some((layer) => !layerOf(edition, layer.layerId))) return noSuchLayer()
    if (layers.some((layer) => !(layer.thickness > 0)))
      return refuse('thickness-range', 'A film is thicker than nothing; 5 to 15 µm are usual.', 'layers')
    // A layer of several zones lies as one film for each, told apart by its ink.
    const laid = (id: string | null) =>
      layers.some((layer) => layer.layerId === id || `${layer.layerId} ${layer.batchId}` === id)
    if (
      wishes.some(
        (wish) =>
          wish.layers.length === 0 ||
          !wish.layers.every(laid) ||
          (wish.keep === 'layer' && !laid(wish.layerId)) ||
          (wish.keep === 'colour' && wish.colour === null),
      )
    ) {
      return refuse(
        'wish-unfit',
        'A wish names an overlap of the layers on the table and what it should look like. Make it again.',
        'wishes',
      )
    }
    return only(edition, 'overprint-planned', data)
  },

  'plan-blend': ({ edition }, data) => {
    if (!layerOf(edition, data.layerId)) return noSuchLayer()
    const fault = data.blend === null ? null : blendFault(data.blend)
    return fault ? refuse('blend-unfit', fault.message, fault.field) : only(edition, 'blend-planned', data)
  },
}
