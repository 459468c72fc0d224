import { blockFault, type BlockDescription } from '../../block/block'
import { defineAct, defineEvent } from '../../ground/act'
import { refuseFault } from '../../ground/refusal'
import { anyone } from '../../ground/who'
import { hasBlock } from '../block'
import { editBlock } from '../edit'
import { unknownBlock } from '../refusals'
import { edition } from '../stream'

interface BlockChanged {
  blockId: string
  block: BlockDescription
}

const blockChanged = defineEvent(edition, 'block-changed', (state, { blockId, block }: BlockChanged) =>
  editBlock(state, blockId, (before) => ({ ...before, block })),
)

/** What is said of a block is put right. */
export const changeBlock = defineAct(edition, 'change-block', anyone, {
  events: [blockChanged],
  rule: ({ edition }, data: BlockChanged) => {
    if (!hasBlock(edition, data.blockId)) return unknownBlock()
    const fault = blockFault(data.block)
    return fault ? refuseFault('block-unfit', fault) : [blockChanged.on(edition, data)]
  },
})
