import { definePlainAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { reasonMissing } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { lot } from '../stream'

interface Counted {
  sheets: number
  reason: string
}

const lotCounted = defineEvent(lot, 'lot-counted', (state, { sheets, reason }: Counted, event) =>
  changed(state, {
    left: sheets,
    counts: appended(state.counts, { before: state.left, after: sheets, reason, at: event.occurredAt }),
  }),
)

/** The sheets on the shelf are counted; from then on the book follows the count. */
export const countLot = definePlainAct(lot, 'count-lot', printers, {
  events: [lotCounted],
  rule: ({ lot }, data: Counted) =>
    data.reason.trim() === ''
      ? reasonMissing(`The book shows ${lot.left}; say why the count differs.`)
      : [lotCounted.on(lot, data)],
})
