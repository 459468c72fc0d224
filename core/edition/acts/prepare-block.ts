import { blockFault, type BlockDescription } from '../../block/block'
import { defineAct, defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import { refuse, refuseFault } from '../../ground/refusal'
import { anyone } from '../../ground/who'
import { edition } from '../stream'

const mostBlocks = 40

const blockPrepared = defineEvent(
  edition,
  'block-prepared',
  (state, { blockId, block }: { blockId: string; block: BlockDescription }) =>
    changed(state, {
      blocks: appended(state.blocks, { id: blockId, block, states: [], exposures: [], inkedShare: null }),
    }),
)

/** A block is taken in hand for the edition. */
export const prepareBlock = defineAct(edition, 'prepare-block', anyone, {
  events: [blockPrepared],
  rule: ({ edition }, { block }: { block: BlockDescription }, context) => {
    if (edition.blocks.length >= mostBlocks)
      return refuse('too-many-blocks', `An edition takes at most ${mostBlocks} blocks.`)
    const fault = blockFault(block)
    return fault
      ? refuseFault('block-unfit', fault)
      : [blockPrepared.on(edition, { blockId: context.commandId, block })]
  },
})
