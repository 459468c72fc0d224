import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuseFault } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { RackDescription } from '../description'
import { rackFault } from '../state'
import { rack } from '../stream'

const rackAdded = defineEvent(rack, 'rack-added', (state, data: RackDescription) => changed(state, data))

/** A rack, a line or a shelf comes into the room. */
export const addRack = defineAct(rack, 'add-rack', RackDescription, staff, {
  begins: true,
  events: [rackAdded],
  rule: ({ rack }, data) => {
    const fault = rackFault(data, [])
    return fault ? refuseFault('rack-unfit', fault) : [rackAdded.on(rack, data)]
  },
})
