import { definePlainAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { printers } from '../../../ground/who'
import { lot } from '../stream'

interface Bought {
  sheets: number
  /** For one large sheet. */
  price: number
}

const lotBought = defineEvent(lot, 'lot-bought', (state, { sheets, price }: Bought) =>
  changed(state, { left: state.left + sheets, bought: state.bought + sheets, price }),
)

/** More of the same paper is bought. */
export const buyPaper = definePlainAct(lot, 'buy-paper', printers, {
  events: [lotBought],
  rule: ({ lot }, data: Bought) => [lotBought.on(lot, data)],
})
