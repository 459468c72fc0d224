import { IsNumber, Max, Min } from 'class-validator'
import { Id, OrNull, Part } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { ShareReading } from '../../ink/roll-up'
import { blockWritten } from '../../stores/block/events/block-written'
import { block } from '../../stores/block/stream'
import { hasBlock, writtenIn } from '../block'
import { editBlock } from '../edit'
import { unknownBlock } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'
import { madeFor, notTheirBlock } from '../whose-block'

class InkedShare {
  static readonly sample: InkedShare = {
    blockId: 'b',
    share: 0.4,
    reading: {
      pictureId: 'p',
      threshold: 128,
      lightInked: false,
      masked: [{ left: 0, top: 0, width: 0.5, height: 0.1 }],
    },
  }

  @Id('block') blockId!: string
  /** Of the block's area, 0 to 1. */
  @IsNumber() @Min(-10) @Max(10) share!: number
  @OrNull() @Part(() => ShareReading) reading!: ShareReading | null
}

const inkedShareFound = defineEvent(edition, 'inked-share-found', (state, { blockId, share, reading }: InkedShare) =>
  editBlock(state, blockId, (block) => ({ ...block, inkedShare: { share, reading } })),
)

/** How much of a block carries ink, read from a picture or typed. */
export const setInkedShare = defineAct(edition, 'set-inked-share', InkedShare, theirs, {
  needs: (data) => ({ book: block.of(data.blockId) }),
  leadsTo: ({ book }) => ({ owners: madeFor([book]) }),
  events: [inkedShareFound, blockWritten],
  rule: ({ edition, book, owners }, data, context) => {
    if (!hasBlock(edition, data.blockId)) return unknownBlock()
    const others = notTheirBlock(owners, context)
    if (others) return others
    const { blockId, share, reading } = data
    if (!(share >= 0 && share <= 1))
      return refuse('share-range', 'The inked share lies between 0 and 100 % of the block.', 'share')
    return [
      inkedShareFound.on(edition, data),
      writtenIn(edition, book, blockId, (before) => ({ ...before, inkedShare: { share, reading } })),
    ]
  },
})
