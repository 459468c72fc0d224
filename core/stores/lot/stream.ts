import { begunOnce, defineStream } from '../../ground/act'
import { emptyLot } from './state'

/** Large sheets of paper bought together: what is on the shelf, put aside and given out. */
export const lot = defineStream('lot', emptyLot, {
  gate: begunOnce((state) => state.name !== '', 'This lot is in the store already.', {
    code: 'unknown-lot',
    message: 'That paper lot is not here. Reload the page and choose it from the paper table.',
  }),
})
