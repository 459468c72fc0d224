import { begunOnce, defineStream } from '../../ground/act'
import { emptyPress } from './state'

/** A press, or a table with hand tools. */
export const press = defineStream('press', emptyPress, {
  gate: begunOnce((state) => state.name !== '', 'This press stands in the room already.', {
    code: 'unknown-press',
    message: 'That press is not here. Add it first, or choose another.',
  }),
})
