import { IsInt, Max, Min } from 'class-validator'
import { heaviest } from '../../../ink/amount'
import { Unit, Words } from '../../../ground/shape'
import { whenOf } from '../../../ground/envelope'
import { defineAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { reasonMissing, refuse } from '../../../ground/refusal'
import { anyone } from '../../../ground/who'
import { grams } from '../state'
import { batch } from '../stream'

class Reweighed {
  static readonly sample: Reweighed = { milligrams: 0, reason: 'dry' }

  @IsInt() @Min(0) @Max(heaviest) @Unit('mg') milligrams!: number
  @Words(500) reason!: string
}

const batchReweighed = defineEvent(batch, 'batch-reweighed', (state, { milligrams, reason }: Reweighed, event) =>
  changed(state, {
    left: milligrams,
    reweighings: appended(state.reweighings, { before: state.left, after: milligrams, reason, ...whenOf(event) }),
  }),
)

/** The batch is put on the scale; from then on the book follows the weight. */
export const reweighBatch = defineAct(batch, 'reweigh-batch', Reweighed, anyone, {
  events: [batchReweighed],
  rule: ({ batch }, data) => {
    if (data.reason.trim() === '')
      return reasonMissing(`The book shows ${grams(batch.left)}; say why the weight differs.`)
    if (data.milligrams > batch.mixed)
      return refuse(
        'more-than-mixed',
        `Only ${grams(batch.mixed)} were mixed; ${grams(data.milligrams)} cannot be left.`,
        'milligrams',
      )
    return [batchReweighed.on(batch, data)]
  },
})
