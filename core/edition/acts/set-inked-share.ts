import { definePlainAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import type { ShareReading } from '../../ink/roll-up'
import { blockWritten } from '../../stores/block/events/block-written'
import { block } from '../../stores/block/stream'
import { hasBlock, writtenIn } from '../block'
import { editBlock } from '../edit'
import { unknownBlock } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'
import { madeFor, notTheirBlock } from '../whose-block'

interface InkedShare {
  blockId: string
  /** Of the block's area, 0 to 1. */
  share: number
  reading: ShareReading | null
}

const inkedShareFound = defineEvent(edition, 'inked-share-found', (state, { blockId, share, reading }: InkedShare) =>
  editBlock(state, blockId, (block) => ({ ...block, inkedShare: { share, reading } })),
)

/** How much of a block carries ink, read from a picture or typed. */
export const setInkedShare = definePlainAct(edition, 'set-inked-share', theirs, {
  needs: (data: InkedShare) => ({ book: block.of(data.blockId) }),
  leadsTo: ({ book }) => ({ owners: madeFor([book]) }),
  events: [inkedShareFound, blockWritten],
  rule: ({ edition, book, owners }, data: InkedShare, context) => {
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
