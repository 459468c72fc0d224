import { definePlainAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { printers } from '../../ground/who'
import { blockKept } from '../../stores/block/events/block-kept'
import { block } from '../../stores/block/stream'
import { madeFor, notTheirBlock } from '../whose-block'

interface Kept {
  where: string
}

/** A block that is done with is put away, to be printed from again. */
export const keepBlock = definePlainAct(block, 'keep-block', printers, {
  leadsTo: ({ block }) => ({ owners: madeFor([block]) }),
  events: [blockKept],
  rule: ({ block, owners }, { where }: Kept, context) => {
    const anothers = notTheirBlock(owners, context)
    if (anothers) return anothers
    if (block.cancelled) return refuse('cancelled', 'This block is cancelled: no more is printed from it.')
    return where.trim() === ''
      ? refuse('where-missing', 'Say where it is kept, so that it can be found again.', 'where')
      : [blockKept.on(block, { where: where.trim() })]
  },
})
