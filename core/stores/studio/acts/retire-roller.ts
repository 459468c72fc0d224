import { definePlainAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { studio } from '../stream'

const rollerRetired = defineEvent(studio, 'roller-retired', (state, data: { id: string }) =>
  changed(state, { rollers: state.rollers.filter((roller) => roller.id !== data.id) }),
)

/** A roller is used no more. */
export const retireRoller = definePlainAct(studio, 'retire-roller', printers, {
  events: [rollerRetired],
  rule: ({ studio }, data: { id: string }) =>
    studio.rollers.some((roller) => roller.id === data.id)
      ? [rollerRetired.on(studio, data)]
      : refuse('unknown-roller', 'That roller is not in the store any more.', 'id'),
})
