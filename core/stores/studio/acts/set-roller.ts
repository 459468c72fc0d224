import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { Roller } from '../../../ink/roller'
import { studio } from '../stream'

const rollerSet = defineEvent(studio, 'roller-set', (state, data: Roller) =>
  changed(state, { rollers: [...state.rollers.filter((known) => known.id !== data.id), data] }),
)

/** A roller comes into the store, or its measures are put right. */
export const setRoller = defineAct(studio, 'set-roller', Roller, printers, {
  events: [rollerSet],
  rule: ({ studio }, data) => {
    if (data.name.trim() === '')
      return refuse('name-missing', 'Give the roller a name to find it by, for instance “large soft”.', 'name')
    return data.width > 0 && data.diameter > 0
      ? [rollerSet.on(studio, data)]
      : refuse('roller-range', 'A roller has a width and a diameter above zero.', 'width')
  },
})
