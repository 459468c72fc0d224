import { defineAct, defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import type { BlockBook } from '../../stores/block/book'
import { blockWritten } from '../../stores/block/events/block-written'
import { block } from '../../stores/block/stream'
import { hasBlock, mostBlocks, tooManyBlocks } from '../block'
import { edition } from '../stream'
import { theirs } from '../who'

interface Used {
  blockId: string
}

/** The edition keeps what is known of the block, so that it folds by itself. */
const blockUsed = defineEvent(edition, 'block-used', (state, { blockId, ...book }: Used & BlockBook) =>
  changed(state, { blocks: appended(state.blocks, { id: blockId, ...book }) }),
)

/** A block of an earlier edition is taken in hand for this one. */
export const useBlock = defineAct(edition, 'use-block', theirs, {
  needs: (data: Used) => ({ block: block.of(data.blockId) }),
  events: [blockUsed, blockWritten],
  rule: ({ edition, block }, { blockId }: Used) => {
    if (block.book === null)
      return refuse(
        'unknown-block',
        'That block is not in the store. Choose it from the list, or prepare a new one.',
        'blockId',
      )
    if (block.cancelled)
      return refuse(
        'cancelled',
        `${block.book.block.name} is cancelled (${block.cancelled.reason}): no new edition is printed from it. Choose another block.`,
        'blockId',
      )
    if (hasBlock(edition, blockId)) return refuse('block-twice', 'This edition has that block already.', 'blockId')
    if (edition.blocks.length >= mostBlocks) return tooManyBlocks()
    return [
      blockUsed.on(edition, { blockId, ...block.book }),
      blockWritten.on(block, { ...block.book, editionStream: edition.stream }),
    ]
  },
})
