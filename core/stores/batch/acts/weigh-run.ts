import { whenOf } from '../../../ground/envelope'
import { defineAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { anyone } from '../../../ground/who'
import type { WeighedRun } from '../../../ink/amount'
import { batch } from '../stream'

const runWeighed = defineEvent(batch, 'run-weighed', (state, data: WeighedRun, event) =>
  changed(state, { runs: appended(state.runs, { ...data, ...whenOf(event) }) }),
)

/** What a run of pulls took is settled, for the room's own film. */
export const weighRun = defineAct(batch, 'weigh-run', anyone, {
  events: [runWeighed],
  rule: ({ batch }, data: WeighedRun) =>
    data.film > 0 && data.area > 0
      ? [runWeighed.on(batch, data)]
      : refuse(
          'nothing-printed',
          'A run has a printed area and a film above zero. Check the weights and the number of pulls.',
          'milligrams',
        ),
})
