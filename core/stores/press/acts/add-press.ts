import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuseFault } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { pressFault } from '../fault'
import { PressDescription, pressDefaults } from '../state'
import { press } from '../stream'

const pressAdded = defineEvent(press, 'press-added', (state, data: PressDescription) => changed(state, data), [
  (data) => ({ ...pressDefaults, ...data }),
])

/** A press comes into the room. */
export const addPress = defineAct(press, 'add-press', PressDescription, staff, {
  begins: true,
  events: [pressAdded],
  rule: ({ press }, data) => {
    const fault = pressFault(data)
    return fault ? refuseFault('press-incomplete', fault) : [pressAdded.on(press, data)]
  },
})
