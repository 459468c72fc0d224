import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuseFault } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { RackDescription } from '../description'
import { rackFault } from '../state'
import { rack } from '../stream'

const rackDescribed = defineEvent(rack, 'rack-described', (state, data: RackDescription) => changed(state, data))

/** What is said of a rack is put right. */
export const describeRack = defineAct(rack, 'describe-rack', RackDescription, staff, {
  guarded: true,
  events: [rackDescribed],
  rule: ({ rack }, data) => {
    const fault = rackFault(data, rack.lain)
    return fault ? refuseFault('rack-unfit', fault) : [rackDescribed.on(rack, data)]
  },
})
