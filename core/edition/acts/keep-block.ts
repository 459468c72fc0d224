import { Length } from 'class-validator'
import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { printers } from '../../ground/who'
import { blockKept } from '../../stores/block/events/block-kept'
import { block } from '../../stores/block/stream'
import { madeFor, notTheirBlock } from '../whose-block'

class Kept {
  static readonly sample: Kept = { where: 'plan chest, third drawer' }

  @Length(1, 120) where!: string
}

/** A block that is done with is put away, to be printed from again. */
export const keepBlock = defineAct(block, 'keep-block', Kept, printers, {
  leadsTo: ({ block }) => ({ owners: madeFor([block]) }),
  events: [blockKept],
  rule: ({ block, owners }, { where }, context) => {
    const anothers = notTheirBlock(owners, context)
    if (anothers) return anothers
    if (block.cancelled) return refuse('cancelled', 'This block is cancelled: no more is printed from it.')
    return where.trim() === ''
      ? refuse('where-missing', 'Say where it is kept, so that it can be found again.', 'where')
      : [blockKept.on(block, { where: where.trim() })]
  },
})
