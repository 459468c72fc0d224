import { IsInt, Max, Min } from 'class-validator'
import { heaviest } from '../../../ink/amount'
import { Unit, Words } from '../../../ground/shape'
import { whenOf } from '../../../ground/envelope'
import { defineAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { anyone } from '../../../ground/who'
import { grams, scaleTolerance } from '../state'
import { batch } from '../stream'

class Kept {
  static readonly sample: Kept = { milligrams: 400, scraped: 20, how: 'wrapped' }

  /** Kept, and scraped off and thrown away. */
  @IsInt() @Min(0) @Max(heaviest) @Unit('mg') milligrams!: number
  @IsInt() @Min(0) @Max(heaviest) @Unit('mg') scraped!: number
  @Words(200) how!: string
}

const batchKept = defineEvent(batch, 'batch-kept', (state, { milligrams, scraped, how }: Kept, event) =>
  changed(state, {
    left: milligrams,
    scraped: state.scraped + scraped,
    keepings: appended(state.keepings, { before: state.left, left: milligrams, scraped, how, ...whenOf(event) }),
  }),
)

/** What is left after a run is wrapped and kept. */
export const keepBatch = defineAct(batch, 'keep-batch', Kept, anyone, {
  events: [batchKept],
  rule: ({ batch }, data) => {
    if (data.milligrams + data.scraped > batch.left + scaleTolerance)
      return refuse(
        'more-than-left',
        `The book shows ${grams(batch.left)} of ${batch.name}; ${grams(data.milligrams + data.scraped)} kept and scraped off are more. Reweigh the batch first.`,
        'milligrams',
      )
    const most = batch.left - Math.min(data.scraped, batch.left)
    return [batchKept.on(batch, { ...data, milligrams: Math.min(data.milligrams, most) })]
  },
})
