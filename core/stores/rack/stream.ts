import { begunOnce, defineStream } from '../../ground/act'
import { emptyRack } from './state'

/** Where sheets dry: a rack, a line with pegs, a shelf. */
export const rack = defineStream('rack', emptyRack, {
  gate: begunOnce((state) => state.name !== '', 'This rack stands in the room already.', {
    code: 'unknown-rack',
    message: 'That rack is not here. Add it first, or choose another.',
  }),
})
