import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuseFault } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { LotDescription, lotFault, type WrittenDescription } from '../state'
import { lot } from '../stream'

const lotDescribed = defineEvent(lot, 'lot-described', (state, data: WrittenDescription) => changed(state, data))

/** What is said of a paper is put right. */
export const describeLot = defineAct(lot, 'describe-lot', LotDescription, printers, {
  events: [lotDescribed],
  rule: ({ lot }, data) => {
    const fault = lotFault(data)
    return fault ? refuseFault('name-missing', fault) : [lotDescribed.on(lot, data)]
  },
})
