import { Id } from '../../../ground/shape'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { studio } from '../stream'

const rollerRetired = defineEvent(studio, 'roller-retired', (state, data: { id: string }) =>
  changed(state, { rollers: state.rollers.filter((roller) => roller.id !== data.id) }),
)

class RetireRoller {
  static readonly sample: RetireRoller = { id: 'r' }

  @Id('roller') id!: string
}

/** A roller is used no more. */
export const retireRoller = defineAct(studio, 'retire-roller', RetireRoller, printers, {
  events: [rollerRetired],
  rule: ({ studio }, data) =>
    studio.rollers.some((roller) => roller.id === data.id)
      ? [rollerRetired.on(studio, data)]
      : refuse('unknown-roller', 'That roller is not in the store any more.', 'id'),
})
