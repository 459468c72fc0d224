import { Id, Part } from '../../ground/shape'
import { BlockDescription, blockFault } from '../../block/block'
import { defineAct, defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import { refuse, refuseFault } from '../../ground/refusal'
import { newBook } from '../../stores/block/book'
import { blockWritten } from '../../stores/block/events/block-written'
import { block } from '../../stores/block/stream'
import { hasBlock, mostBlocks, tooManyBlocks } from '../block'
import { edition } from '../stream'
import { theirs } from '../who'

class Prepared {
  static readonly sample: Prepared = { blockId: 'b', block: BlockDescription.sample }

  @Id('block') blockId!: string
  @Part(() => BlockDescription) block!: BlockDescription
}

const blockPrepared = defineEvent(edition, 'block-prepared', (state, { blockId, block }: Prepared) =>
  changed(state, { blocks: appended(state.blocks, { id: blockId, ...newBook(block) }) }),
)

/** A new block is taken in hand for the edition. */
export const prepareBlock = defineAct(edition, 'prepare-block', Prepared, theirs, {
  needs: (data) => ({ book: block.of(data.blockId) }),
  events: [blockPrepared, blockWritten],
  rule: ({ edition, book }, data) => {
    if (edition.blocks.length >= mostBlocks) return tooManyBlocks()
    if (book.book !== null || hasBlock(edition, data.blockId))
      return refuse('already-there', 'That block is here already. Reload the page and look under Block.')
    const fault = blockFault(data.block)
    return fault
      ? refuseFault('block-unfit', fault)
      : [
          blockPrepared.on(edition, data),
          blockWritten.on(book, { ...newBook(data.block), editionStream: edition.stream }),
        ]
  },
})
