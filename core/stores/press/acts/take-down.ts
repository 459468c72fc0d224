import { Words } from '../../../ground/shape'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { anyone } from '../../../ground/who'
import { press } from '../stream'

const takenDown = defineEvent(press, 'press-taken-down', (state, _data: { note: string }) =>
  changed(state, { standing: null }),
)

class TakeDown {
  static readonly sample: TakeDown = { note: 'felts back in the drawer' }

  @Words(500) note!: string
}

/** Pressure off, packing back in the drawer. */
export const takeDown = defineAct(press, 'take-down', TakeDown, anyone, {
  events: [takenDown],
  rule: ({ press }, data) =>
    press.standing ? [takenDown.on(press, data)] : refuse('not-set', `Nothing is set up on ${press.name} now.`),
})
