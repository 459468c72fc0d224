import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuseFault } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { TubDescription, tubFault } from '../state'
import { tub } from '../stream'

const tubDescribed = defineEvent(tub, 'tub-described', (state, data: TubDescription) => changed(state, data))

/** What is said of an ink is put right. */
export const describeTub = defineAct(tub, 'describe-tub', TubDescription, printers, {
  events: [tubDescribed],
  rule: ({ tub }, data) => {
    const fault = tubFault(data)
    return fault ? refuseFault('tub-unfit', fault) : [tubDescribed.on(tub, { ...data, name: data.name.trim() })]
  },
})
