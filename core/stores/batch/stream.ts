import { begunOnce, defineStream } from '../../ground/act'
import { emptyBatch } from './state'

/** Ink mixed together on the slab, and what became of it. */
export const batch = defineStream('batch', emptyBatch, {
  gate: begunOnce((state) => state.name !== '', 'This batch is on the slab already.', {
    code: 'unknown-batch',
    message: 'That ink batch is not here. Reload the page and choose it from the slab.',
  }),
})
