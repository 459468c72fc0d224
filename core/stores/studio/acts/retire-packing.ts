import { Id } from '../../../ground/shape'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { studio } from '../stream'

const packingRetired = defineEvent(studio, 'packing-retired', (state, data: { id: string }) =>
  changed(state, { drawer: state.drawer.filter((piece) => piece.id !== data.id) }),
)

class RetirePacking {
  static readonly sample: RetirePacking = { id: 'felt' }

  @Id('piece') id!: string
}

/** Packing is used no more. */
export const retirePacking = defineAct(studio, 'retire-packing', RetirePacking, printers, {
  events: [packingRetired],
  rule: ({ studio }, data) =>
    studio.drawer.some((piece) => piece.id === data.id)
      ? [packingRetired.on(studio, data)]
      : refuse('unknown-packing', 'That packing is not in the drawer any more.', 'id'),
})
