import { IsInt, Max, Min } from 'class-validator'
import { heaviest } from '../../../ink/amount'
import { Unit, Words } from '../../../ground/shape'
import { defineAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { reasonMissing } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { tub } from '../stream'

class Weighed {
  static readonly sample: Weighed = { milligrams: 10, reason: 'spilt' }

  @IsInt() @Min(0) @Max(heaviest) @Unit('mg') milligrams!: number
  @Words(500) reason!: string
}

const tubWeighed = defineEvent(tub, 'tub-weighed', (state, { milligrams, reason }: Weighed, event) =>
  changed(state, {
    left: milligrams,
    weighings: appended(state.weighings, { before: state.left, after: milligrams, reason, at: event.occurredAt }),
  }),
)

/** The tub is put on the scale; from then on the book follows the weight. */
export const weighTub = defineAct(tub, 'weigh-tub', Weighed, printers, {
  events: [tubWeighed],
  rule: ({ tub }, data) =>
    data.reason.trim() === ''
      ? reasonMissing(`The book shows ${(tub.left / 1000).toFixed(1)} g of ${tub.name}; say why the weight differs.`)
      : [tubWeighed.on(tub, data)],
})
