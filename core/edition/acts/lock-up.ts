import { IsInt, Max, Min } from 'class-validator'
import { Id } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { mostImages } from '../../paper/piece'
import { editLayer } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class LockedUp {
  static readonly sample: LockedUp = { layerId: 'l', images: 2 }

  @Id('layer') layerId!: string
  @IsInt() @Min(1) @Max(mostImages) images!: number
}

const lockedUp = defineEvent(edition, 'locked-up', (state, { layerId, images }: LockedUp) =>
  editLayer(state, layerId, (layer) => ({ ...layer, fills: images })),
)

/** So many images of a piece of paper are locked up side by side: one pull of the layer prints them all. */
export const lockUp = defineAct(edition, 'lock-up', LockedUp, theirs, {
  events: [lockedUp],
  rule: ({ edition }, data) => {
    if (!layerOf(edition, data.layerId)) return unknownLayer()
    return data.images >= 1 && data.images <= mostImages
      ? [lockedUp.on(edition, data)]
      : refuse('images-range', `One pull prints 1 to ${mostImages} images; ${data.images} was given.`, 'images')
  },
})
