import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { anyone } from '../../ground/who'
import { hasBlock } from '../block'
import { editBlock } from '../edit'
import { unknownBlock } from '../refusals'
import type { BlockState } from '../state'
import { edition } from '../stream'

interface Cut extends Omit<BlockState, 'stateId'> {
  blockId: string
}

const blockStateRecorded = defineEvent(
  edition,
  'block-state-recorded',
  (state, { blockId, ...cut }: Cut & { stateId: string }) =>
    editBlock(state, blockId, (block) => ({ ...block, states: [...block.states, cut] })),
)

/** A block is looked at as it is cut now: a picture or a rubbing, and what was cut. */
export const recordBlockState = defineAct(edition, 'record-block-state', anyone, {
  events: [blockStateRecorded],
  rule: ({ edition }, data: Cut, context) => {
    if (!hasBlock(edition, data.blockId)) return unknownBlock()
    const name = data.name.trim()
    return name === ''
      ? refuse('name-missing', 'Say what was cut, for instance “second state, sky cleared”.', 'name')
      : [blockStateRecorded.on(edition, { ...data, name, stateId: context.commandId })]
  },
})
