import { IsNumber, Max, Min } from 'class-validator'
import { IsDay } from '../../../ground/written'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { staff } from '../../../ground/who'
import { press } from '../stream'

class Rate {
  static readonly sample: Rate = { from: '2026-11-01', hour: 6 }

  /** The day from which it holds. */
  @IsDay() from!: string
  /** The studio's currency for an hour. */
  @IsNumber() @Min(0) @Max(100_000) hour!: number
}

const pressRated = defineEvent(press, 'press-rated', (state, rate: Rate) =>
  changed(state, {
    rates: [...state.rates.filter(({ from }) => from !== rate.from), rate].sort((a, b) => a.from.localeCompare(b.from)),
  }),
)

/** What an hour at a press costs from a day on. */
export const ratePress = defineAct(press, 'rate-press', Rate, staff, {
  events: [pressRated],
  rule: ({ press }, data) => [pressRated.on(press, data)],
})
