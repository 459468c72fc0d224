import { defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { rack } from '../stream'

/** Slots were emptied. */
export const takenOut = defineEvent(rack, 'taken-out', (state, { slots }: { slots: number[] }) =>
  changed(state, { lain: state.lain.filter(({ slot }) => !slots.includes(slot)) }),
)
