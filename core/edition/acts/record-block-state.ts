import { definePlainAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import type { BlockCut } from '../../stores/block/book'
import { blockWritten } from '../../stores/block/events/block-written'
import { block } from '../../stores/block/stream'
import { hasBlock, writtenIn } from '../block'
import { editBlock } from '../edit'
import { unknownBlock } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'
import { madeFor, notTheirBlock } from '../whose-block'

interface Cut extends Omit<BlockCut, 'stateId'> {
  blockId: string
}

const blockStateRecorded = defineEvent(
  edition,
  'block-state-recorded',
  (state, { blockId, ...cut }: Cut & { stateId: string }) =>
    editBlock(state, blockId, (block) => ({ ...block, states: [...block.states, cut] })),
)

/** A block is looked at as it is cut now: a picture or a rubbing, and what was cut. */
export const recordBlockState = definePlainAct(edition, 'record-block-state', theirs, {
  needs: (data: Cut) => ({ book: block.of(data.blockId) }),
  leadsTo: ({ book }) => ({ owners: madeFor([book]) }),
  events: [blockStateRecorded, blockWritten],
  rule: ({ edition, book, owners }, data: Cut, context) => {
    if (!hasBlock(edition, data.blockId)) return unknownBlock()
    const others = notTheirBlock(owners, context)
    if (others) return others
    const name = data.name.trim()
    if (name === '')
      return refuse('name-missing', 'Say what was cut, for instance “second state, sky cleared”.', 'name')
    const { blockId, ...said } = data
    const cut = { ...said, name, stateId: context.commandId }
    return [
      blockStateRecorded.on(edition, { ...cut, blockId }),
      writtenIn(edition, book, blockId, (before) => ({ ...before, states: [...before.states, cut] })),
    ]
  },
})
