import { definePlainAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { studio } from '../stream'

const packingRetired = defineEvent(studio, 'packing-retired', (state, data: { id: string }) =>
  changed(state, { drawer: state.drawer.filter((piece) => piece.id !== data.id) }),
)

/** Packing is used no more. */
export const retirePacking = definePlainAct(studio, 'retire-packing', printers, {
  events: [packingRetired],
  rule: ({ studio }, data: { id: string }) =>
    studio.drawer.some((piece) => piece.id === data.id)
      ? [packingRetired.on(studio, data)]
      : refuse('unknown-packing', 'That packing is not in the drawer any more.', 'id'),
})
