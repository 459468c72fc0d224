import { definePlainAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { reasonMissing } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { tub } from '../stream'

interface Weighed {
  milligrams: number
  reason: string
}

const tubWeighed = defineEvent(tub, 'tub-weighed', (state, { milligrams, reason }: Weighed, event) =>
  changed(state, {
    left: milligrams,
    weighings: appended(state.weighings, { before: state.left, after: milligrams, reason, at: event.occurredAt }),
  }),
)

/** The tub is put on the scale; from then on the book follows the weight. */
export const weighTub = definePlainAct(tub, 'weigh-tub', printers, {
  events: [tubWeighed],
  rule: ({ tub }, data: Weighed) =>
    data.reason.trim() === ''
      ? reasonMissing(`The book shows ${(tub.left / 1000).toFixed(1)} g of ${tub.name}; say why the weight differs.`)
      : [tubWeighed.on(tub, data)],
})
