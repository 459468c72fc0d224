import { defineAct } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { refuse } from '../../ground/refusal'
import { WeighedRun } from '../../ink/amount'
import { runWeighed } from '../../stores/batch/events/run-weighed'
import { batch } from '../../stores/batch/stream'
import { edition } from '../stream'
import { theirs } from '../who'

/** What a run of pulls took is settled, by those whose edition it is, for the room's own film. */
export const weighRun = defineAct(batch, 'weigh-run', WeighedRun, theirs, {
  needs: ({ editionStream }: WeighedRun) => ({ edition: edition.of(streamId(editionStream)) }),
  events: [runWeighed],
  rule: ({ batch }, data) =>
    data.film > 0 && data.area > 0
      ? [runWeighed.on(batch, data)]
      : refuse(
          'nothing-printed',
          'A run has a printed area and a film above zero. Check the weights and the number of pulls.',
          'milligrams',
        ),
})
