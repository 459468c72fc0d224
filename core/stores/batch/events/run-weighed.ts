import { whenOf } from '../../../ground/envelope'
import { defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import type { WeighedRun } from '../../../ink/amount'
import { batch } from '../stream'

/** What a run of pulls took was settled. */
export const runWeighed = defineEvent(batch, 'run-weighed', (state, data: WeighedRun, event) =>
  changed(state, { runs: appended(state.runs, { ...data, ...whenOf(event) }) }),
)
