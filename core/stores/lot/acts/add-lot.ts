import { definePlainAct } from '../../../ground/act'
import { refuseFault } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { lotAdded } from '../events/lot-added'
import { type LotDescription, lotFault } from '../state'
import { lot } from '../stream'

/** Paper comes into the store. */
export const addLot = definePlainAct(lot, 'add-lot', printers, {
  begins: true,
  events: [lotAdded],
  rule: ({ lot }, data: LotDescription & { sheets: number }) => {
    const fault = lotFault(data)
    return fault ? refuseFault('name-missing', fault) : [lotAdded.on(lot, data)]
  },
})
