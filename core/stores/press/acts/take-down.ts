import { definePlainAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { anyone } from '../../../ground/who'
import { press } from '../stream'

const takenDown = defineEvent(press, 'press-taken-down', (state, _data: { note: string }) =>
  changed(state, { standing: null }),
)

/** Pressure off, packing back in the drawer. */
export const takeDown = definePlainAct(press, 'take-down', anyone, {
  events: [takenDown],
  rule: ({ press }, data: { note: string }) =>
    press.standing ? [takenDown.on(press, data)] : refuse('not-set', `Nothing is set up on ${press.name} now.`),
})
