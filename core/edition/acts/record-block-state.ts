import { Matches } from 'class-validator'
import { Id, OrNull, Words } from '../../ground/shape'
import { IsDay } from '../../ground/written'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { blockWritten } from '../../stores/block/events/block-written'
import { block } from '../../stores/block/stream'
import { hasBlock, writtenIn } from '../block'
import { editBlock } from '../edit'
import { unknownBlock } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'
import { madeFor, notTheirBlock } from '../whose-block'

class Cut {
  static readonly sample: Cut = { blockId: 'b', name: 'first', cutOn: '2026-11-02', note: '', pictureId: null }

  @Id('block') blockId!: string
  @Words(120) name!: string
  /** Day it was cut, ISO date. */
  @IsDay() cutOn!: string
  @Words(1000) note!: string
  /** A picture or a rubbing of it, by the hash of its file, or null. */
  @OrNull() @Matches(/^[0-9a-f]{64}$/, { message: 'is a picture handed in before' }) pictureId!: string | null
}

const blockStateRecorded = defineEvent(
  edition,
  'block-state-recorded',
  (state, { blockId, ...cut }: Cut & { stateId: string }) =>
    editBlock(state, blockId, (block) => ({ ...block, states: [...block.states, cut] })),
)

/** A block is looked at as it is cut now: a picture or a rubbing, and what was cut. */
export const recordBlockState = defineAct(edition, 'record-block-state', Cut, theirs, {
  needs: (data) => ({ book: block.of(data.blockId) }),
  leadsTo: ({ book }) => ({ owners: madeFor([book]) }),
  events: [blockStateRecorded, blockWritten],
  rule: ({ edition, book, owners }, data, context) => {
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
