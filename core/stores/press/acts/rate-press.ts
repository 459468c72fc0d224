import { definePlainAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { staff } from '../../../ground/who'
import { press } from '../stream'

interface Rate {
  /** The day from which it holds. */
  from: string
  /** The studio's currency for an hour. */
  hour: number
}

const pressRated = defineEvent(press, 'press-rated', (state, rate: Rate) =>
  changed(state, {
    rates: [...state.rates.filter(({ from }) => from !== rate.from), rate].sort((a, b) => a.from.localeCompare(b.from)),
  }),
)

/** What an hour at a press costs from a day on. */
export const ratePress = definePlainAct(press, 'rate-press', staff, {
  events: [pressRated],
  rule: ({ press }, data: Rate) => [pressRated.on(press, data)],
})
