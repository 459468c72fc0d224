import { IsIn } from 'class-validator'
import { Ids, Words } from '../../ground/shape'
import { mostBlocks } from '../block'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { type Refused, refuse } from '../../ground/refusal'
import { type BlockEnd, blockEnds, blockEndWords, isCancelled } from '../../print/block-end'
import { blockCancelled } from '../../stores/block/events/block-cancelled'
import type { BlockState } from '../../stores/block/state'
import { block } from '../../stores/block/stream'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'
import { madeFor, notTheirBlock } from '../whose-block'

class Closed {
  @Words(2000) note!: string
  @IsIn(blockEnds) block!: BlockEnd
}

class Asked extends Closed {
  static readonly sample: Asked = { note: '', block: 'cancelled with a proof', blockIds: [] }

  /** All the blocks of the edition. */
  @Ids('block', mostBlocks) blockIds!: string[]
}

const editionClosed = defineEvent(
  edition,
  'edition-closed',
  (state, { note, block }: Closed, event) =>
    changed(state, { closedAt: event.occurredAt, closingNote: note, blockEnd: block }),
  [(data) => ({ ...data, block: 'unsaid' })],
)

function unfinished({ pulls, sheets }: EditionState): Refused | null {
  const disputed = pulls.filter((pull) => pull.disputed && !pull.disputed.settled).length
  if (disputed > 0)
    return refuse('disputed', `${disputed} disputed pulls wait to be settled. Settle them from the count, then close.`)
  const unsigned = sheets.filter((sheet) => sheet.mark && !sheet.signed && !sheet.destroyed).length
  return unsigned > 0
    ? refuse('unsigned', `${unsigned} numbered prints are not signed yet. Sign them, or take their numbers back.`)
    : null
}

/** What is said of the block against what its own book says. */
function saidOtherwise(end: BlockEnd, blocks: readonly BlockState[]): Refused | null {
  const scored = blocks.find(({ cancelled }) => cancelled)
  return scored && (end === 'kept' || end === 're-workable')
    ? refuse(
        'cancelled',
        `${scored.book?.block.name ?? 'A block'} is cancelled (${scored.cancelled!.reason}). Say that of the block, or nothing.`,
        'block',
      )
    : null
}

/** The edition is done and can only be read. A block that is said to be cancelled is cancelled for every edition. */
export const close = defineAct(edition, 'close', Asked, theirs, {
  asksAgain: true,
  guarded: true,
  needs: ({ blockIds }) => ({ blocks: blockIds.map(block.of) }),
  leadsTo: ({ blocks }, { block: end }) => ({ owners: isCancelled(end) ? madeFor(blocks) : [] }),
  events: [editionClosed, blockCancelled],
  rule: ({ edition, blocks, owners }, { note, block, blockIds }, context) => {
    const known = new Set(blockIds)
    if (
      known.size !== blockIds.length ||
      edition.blocks.length !== known.size ||
      edition.blocks.some(({ id }) => !known.has(id))
    )
      return refuse('stale', 'Its blocks are others than when you looked. Reload the page, then do it again.')
    const unfit = unfinished(edition) ?? saidOtherwise(block, blocks) ?? notTheirBlock(owners, context)
    if (unfit) return unfit
    const scored = isCancelled(block) ? blocks.filter(({ cancelled }) => !cancelled) : []
    return [
      editionClosed.on(edition, { note, block }),
      ...scored.map((one) =>
        blockCancelled.on(one, { reason: `${edition.title} is closed, and ${blockEndWords(block)}` }),
      ),
    ]
  },
})
