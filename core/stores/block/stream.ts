import { defineStream } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { emptyBlock } from './state'

/** A block, from its first state until it is cancelled: it outlives the editions printed from it. */
export const block = defineStream('block', emptyBlock, {
  gate: (state) =>
    state.book === null
      ? refuse('unknown-block', 'That block is not here. Open it under Block of its edition, and write it down first.')
      : null,
})
