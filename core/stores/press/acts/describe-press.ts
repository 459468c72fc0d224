import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuseFault } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { pressFault } from '../fault'
import { PressDescription } from '../state'
import { press } from '../stream'

const pressDescribed = defineEvent(press, 'press-described', (state, data: PressDescription) => changed(state, data))

/** What is said of a press is put right. */
export const describePress = defineAct(press, 'describe-press', PressDescription, staff, {
  guarded: true,
  events: [pressDescribed],
  rule: ({ press }, data) => {
    const fault = pressFault(data)
    return fault ? refuseFault('press-incomplete', fault) : [pressDescribed.on(press, data)]
  },
})
