import { Id, Part } from '../../ground/shape'
import { BlockDescription, blockFault } from '../../block/block'
import { defineAct, defineEvent } from '../../ground/act'
import { refuseFault } from '../../ground/refusal'
import { blockWritten } from '../../stores/block/events/block-written'
import { block } from '../../stores/block/stream'
import { hasBlock, writtenIn } from '../block'
import { editBlock } from '../edit'
import { unknownBlock } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'
import { madeFor, notTheirBlock } from '../whose-block'

class BlockChanged {
  static readonly sample: BlockChanged = { blockId: 'b', block: BlockDescription.sample }

  @Id('block') blockId!: string
  @Part(() => BlockDescription) block!: BlockDescription
}

const blockChanged = defineEvent(edition, 'block-changed', (state, { blockId, block }: BlockChanged) =>
  editBlock(state, blockId, (before) => ({ ...before, block })),
)

/** What is said of a block is put right. */
export const changeBlock = defineAct(edition, 'change-block', BlockChanged, theirs, {
  needs: (data) => ({ book: block.of(data.blockId) }),
  leadsTo: ({ book }) => ({ owners: madeFor([book]) }),
  events: [blockChanged, blockWritten],
  rule: ({ edition, book, owners }, data, context) => {
    if (!hasBlock(edition, data.blockId)) return unknownBlock()
    const others = notTheirBlock(owners, context)
    if (others) return others
    const fault = blockFault(data.block)
    if (fault) return refuseFault('block-unfit', fault)
    return [
      blockChanged.on(edition, data),
      writtenIn(edition, book, data.blockId, (before) => ({ ...before, block: data.block })),
    ]
  },
})
