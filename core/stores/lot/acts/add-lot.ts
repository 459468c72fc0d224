import { IsInt, Max, Min } from 'class-validator'
import { defineAct } from '../../../ground/act'
import { refuseFault } from '../../../ground/refusal'
import { Unit } from '../../../ground/shape'
import { printers } from '../../../ground/who'
import { lotAdded } from '../events/lot-added'
import { LotDescription, lotFault } from '../state'
import { lot } from '../stream'

class NewLot extends LotDescription {
  static override readonly sample: NewLot = { ...LotDescription.sample, sheets: 20 }

  @IsInt() @Min(0) @Max(100_000) @Unit('sheets') sheets!: number
}

/** Paper comes into the store. */
export const addLot = defineAct(lot, 'add-lot', NewLot, printers, {
  begins: true,
  events: [lotAdded],
  rule: ({ lot }, data) => {
    const fault = lotFault(data)
    return fault ? refuseFault('name-missing', fault) : [lotAdded.on(lot, data)]
  },
})
