import { definePlainAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { mostImages } from '../../paper/piece'
import { editLayer } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

interface LockedUp {
  layerId: string
  images: number
}

const lockedUp = defineEvent(edition, 'locked-up', (state, { layerId, images }: LockedUp) =>
  editLayer(state, layerId, (layer) => ({ ...layer, fills: images })),
)

/** So many images of a piece of paper are locked up side by side: one pull of the layer prints them all. */
export const lockUp = definePlainAct(edition, 'lock-up', theirs, {
  events: [lockedUp],
  rule: ({ edition }, data: LockedUp) => {
    if (!layerOf(edition, data.layerId)) return unknownLayer()
    return data.images >= 1 && data.images <= mostImages
      ? [lockedUp.on(edition, data)]
      : refuse('images-range', `One pull prints 1 to ${mostImages} images; ${data.images} was given.`, 'images')
  },
})
