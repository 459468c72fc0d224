/** What becomes of the block when its edition is closed; unsaid where nobody told. */
export type BlockEnd = 'unsaid' | 'kept' | 're-workable' | 'cancelled' | 'cancelled with a proof'
export const blockEnds: readonly BlockEnd[] = ['unsaid', 'kept', 're-workable', 'cancelled', 'cancelled with a proof']

const words: Record<BlockEnd, string> = {
  unsaid: 'nobody said what became of the block',
  kept: 'the block is kept as it is',
  're-workable': 'the block is kept, to be cut and printed further',
  cancelled: 'the block is cancelled',
  'cancelled with a proof': 'the block is cancelled, and a proof of it so is kept',
}

/** True when nothing more can be printed from it. */
export const isCancelled = (end: BlockEnd): boolean => end === 'cancelled' || end === 'cancelled with a proof'

export function blockEndWords(end: BlockEnd): string {
  return words[end]
}
