import { defineAct, defineEvent } from '../../../ground/act'
import { doerOf, whenOf } from '../../../ground/envelope'
import { appended, changed } from '../../../ground/fold'
import { refuseFault } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { faultLineFault, FaultLine } from '../../../print/fault-table'
import { faultKeys } from '../../../print/faults'
import { studio } from '../stream'

const faultLineSet = defineEvent(studio, 'fault-line-set', (state, data: FaultLine, event) =>
  changed(state, { faultLines: appended(state.faultLines, { ...data, ...whenOf(event), ...doerOf(event) }) }),
)

/** What a fault makes of a sheet here, where it comes from and what is tried: the room's own experience. */
export const setFaultLine = defineAct(studio, 'set-fault-line', FaultLine, staff, {
  guarded: true,
  events: [faultLineSet],
  rule: ({ studio }, data) => {
    const fault = faultKeys.includes(data.fault)
      ? faultLineFault(data)
      : { field: 'fault', message: `“${data.fault}” is no fault this program knows. Choose one of the list.` }
    return fault ? refuseFault('fault-line-unfit', fault) : [faultLineSet.on(studio, data)]
  },
})
