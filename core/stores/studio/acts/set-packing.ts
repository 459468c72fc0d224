import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { DrawerPiece } from '../../../press/drawer'
import { studio } from '../stream'

const packingSet = defineEvent(
  studio,
  'packing-set',
  (state, data: DrawerPiece) =>
    changed(state, { drawer: [...state.drawer.filter((known) => known.id !== data.id), data] }),
  // How long a piece is was not asked before.
  [(data) => ({ ...data, length: null })],
)

/** Packing comes into the drawer, or its measures are put right. */
export const setPacking = defineAct(studio, 'set-packing', DrawerPiece, printers, {
  events: [packingSet],
  rule: ({ studio }, data) => {
    if (data.name.trim() === '')
      return refuse('name-missing', 'Give the packing a name to find it by, for instance “press card”.', 'name')
    if (!(data.thickness > 0))
      return refuse('thickness-missing', 'Measure the packing: one piece of it, in mm.', 'thickness')
    if (data.squeezed !== null && !(data.squeezed > 0 && data.squeezed <= data.thickness))
      return refuse(
        'squeezed-range',
        `Squeezed it is thinner than the ${data.thickness} mm it has when it lies free.`,
        'squeezed',
      )
    return [packingSet.on(studio, data)]
  },
})
