import { Id, Ids } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { refuse } from '../../ground/refusal'
import { blockWritten } from '../../stores/block/events/block-written'
import { block } from '../../stores/block/stream'
import { hasBlock, mostBlocks, tooManyBlocks } from '../block'
import { blockUsed } from '../events/block-used'
import { printedAgain } from '../events/printed-again'
import { printedFrom } from '../events/printed-from'
import { earlierEditionOf } from '../related'
import { edition } from '../stream'
import { theirs } from '../who'
import { madeFor, notTheirBlock } from '../whose-block'

class Used {
  static readonly sample: Used = { blockId: 'b', editionIds: ['e'] }

  @Id('block') blockId!: string
  /** All the editions that were printed from it. */
  @Ids('edition', 400) editionIds!: string[]
}

/** A block of an earlier edition is taken in hand for this one; each names the other in its record (craft step 15). */
export const useBlock = defineAct(edition, 'use-block', Used, theirs, {
  needs: ({ blockId, editionIds }) => ({ block: block.of(blockId), others: editionIds.map(edition.of) }),
  leadsTo: ({ block }) => ({ owners: madeFor([block]) }),
  events: [blockUsed, blockWritten, printedFrom, printedAgain],
  rule: ({ edition, block, others, owners }, { blockId }, context) => {
    if (block.book === null)
      return refuse(
        'unknown-block',
        'That block is not in the store. Choose it from the list, or prepare a new one.',
        'blockId',
      )
    const anothers = notTheirBlock(owners, context)
    if (anothers) return anothers
    if (block.cancelled)
      return refuse(
        'cancelled',
        `${block.book.block.name} is cancelled (${block.cancelled.reason}): no new edition is printed from it. Choose another block.`,
        'blockId',
      )
    if (hasBlock(edition, blockId)) return refuse('block-twice', 'This edition has that block already.', 'blockId')
    if (edition.blocks.length >= mostBlocks) return tooManyBlocks()
    const streams = new Set(others.map(({ stream }) => stream))
    if (block.editions.some((stream) => !streams.has(stream)) || streams.size !== block.editions.length)
      return refuse('stale', 'Another edition has used that block since you looked. Reload the page, then do it again.')
    const earlier = others.filter(
      ({ stream }) =>
        stream !== edition.stream && !edition.earlier.some(({ editionId }) => editionId === streamId(stream)),
    )
    return [
      blockUsed.on(edition, { blockId, ...block.book }),
      blockWritten.on(block, { ...block.book, editionStream: edition.stream }),
      ...(earlier.length > 0
        ? [printedFrom.on(edition, { earlier: [...edition.earlier, ...earlier.map(earlierEditionOf)] })]
        : []),
      ...earlier.map((one) => printedAgain.on(one, { editionId: streamId(edition.stream), title: edition.title })),
    ]
  },
})
