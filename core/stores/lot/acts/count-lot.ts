import { IsInt, Max, Min } from 'class-validator'
import { Unit, Words } from '../../../ground/shape'
import { defineAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { reasonMissing } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { lot } from '../stream'

class Counted {
  static readonly sample: Counted = { sheets: 3, reason: 'x' }

  @IsInt() @Min(0) @Max(100_000) @Unit('sheets') sheets!: number
  @Words(500) reason!: string
}

const lotCounted = defineEvent(lot, 'lot-counted', (state, { sheets, reason }: Counted, event) =>
  changed(state, {
    left: sheets,
    counts: appended(state.counts, { before: state.left, after: sheets, reason, at: event.occurredAt }),
  }),
)

/** The sheets on the shelf are counted; from then on the book follows the count. */
export const countLot = defineAct(lot, 'count-lot', Counted, printers, {
  events: [lotCounted],
  rule: ({ lot }, data) =>
    data.reason.trim() === ''
      ? reasonMissing(`The book shows ${lot.left}; say why the count differs.`)
      : [lotCounted.on(lot, data)],
})
