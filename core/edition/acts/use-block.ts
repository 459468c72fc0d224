import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { blockWritten } from '../../stores/block/events/block-written'
import { block } from '../../stores/block/stream'
import { hasBlock, mostBlocks, tooManyBlocks } from '../block'
import { blockUsed } from '../events/block-used'
import { edition } from '../stream'
import { theirs } from '../who'

interface Used {
  blockId: string
}

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
