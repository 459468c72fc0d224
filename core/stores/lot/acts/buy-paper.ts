import { IsInt, IsNumber, Max, Min } from 'class-validator'
import { Unit } from '../../../ground/shape'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { printers } from '../../../ground/who'
import { lot } from '../stream'

class Bought {
  static readonly sample: Bought = { sheets: 10, price: 4.2 }

  @IsInt() @Min(1) @Max(100_000) @Unit('sheets') sheets!: number
  /** For one large sheet. */
  @IsNumber() @Min(0) @Max(100_000) price!: number
}

const lotBought = defineEvent(lot, 'lot-bought', (state, { sheets, price }: Bought) =>
  changed(state, { left: state.left + sheets, bought: state.bought + sheets, price }),
)

/** More of the same paper is bought. */
export const buyPaper = defineAct(lot, 'buy-paper', Bought, printers, {
  events: [lotBought],
  rule: ({ lot }, data) => [lotBought.on(lot, data)],
})
