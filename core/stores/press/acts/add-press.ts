import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import type { PressDescription } from '../state'
import { press } from '../stream'

const pressAdded = defineEvent(press, 'press-added', (state, data: PressDescription) => changed(state, data))

/** A press comes into the room. */
export const addPress = defineAct(press, 'add-press', staff, {
  begins: true,
  events: [pressAdded],
  rule: ({ press }, data: PressDescription) =>
    data.name.trim() === ''
      ? refuse('name-missing', 'Give the press the name people call it by.', 'name')
      : [pressAdded.on(press, data)],
})
