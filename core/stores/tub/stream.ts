import { begunOnce, defineStream } from '../../ground/act'
import { emptyTub } from './state'

/** Ink, base, oil or drier as it is bought. */
export const tub = defineStream('tub', emptyTub, {
  gate: begunOnce((state) => state.name !== '', 'This ink is in the store already.', {
    code: 'unknown-tub',
    message: 'That ink is not in the store. Reload the page and choose it from the list.',
  }),
})
