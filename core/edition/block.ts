import { type Refused, refuse } from '../ground/refusal'
import { blockEndWords, isCancelled } from '../print/block-end'
import type { BlockBook } from '../stores/block/book'
import { blockWritten } from '../stores/block/events/block-written'
import type { BlockState } from '../stores/block/state'
import type { Block, EditionState } from './state'

/** More blocks than this no edition takes. */
export const mostBlocks = 40

export function tooManyBlocks(): Refused {
  return refuse('too-many-blocks', `An edition takes at most ${mostBlocks} blocks.`)
}

export function hasBlock(state: { blocks: readonly Block[] }, blockId: string): boolean {
  return state.blocks.some((block) => block.id === blockId)
}

/** What stands in the block's own book once this edition changed something: the book leads, and what it never held the edition tells. */
export function writtenIn(
  edition: EditionState,
  book: BlockState,
  blockId: string,
  change: (book: BlockBook) => BlockBook,
): ReturnType<typeof blockWritten.on> {
  const { block: described, states, exposures, inkedShare } = edition.blocks.find(({ id }) => id === blockId)!
  const own = { block: described, states, exposures, inkedShare }
  return blockWritten.on(book, { ...change(book.book ?? own), editionStream: edition.stream })
}

/** Why nothing more can be printed from an edition's blocks, in words, or null: it was said at closing, or one was scored since. */
export function whySpent(
  { blockEnd }: Pick<EditionState, 'blockEnd'>,
  blocks: readonly Pick<BlockState, 'book' | 'cancelled'>[],
): string | null {
  if (isCancelled(blockEnd)) return blockEndWords(blockEnd)
  const scored = blocks.find(({ cancelled }) => cancelled)
  return scored ? `${scored.book?.block.name ?? 'a block of it'} is cancelled (${scored.cancelled!.reason})` : null
}
