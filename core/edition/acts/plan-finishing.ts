import { Part } from '../../ground/shape'
import { finishingFault, FinishingPlan } from '../../finish/plan'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuseFault } from '../../ground/refusal'
import { sheetLaidOut } from '../finishing'
import { edition } from '../stream'
import { theirs } from '../who'

class Planned {
  static readonly sample: Planned = {
    finishing: {
      colours: [{ id: 'y', name: 'yellow' }],
      batch: 5,
      wash: 'holds',
      flatten: true,
      trim: false,
      chop: { kind: 'blind', left: 8, top: 200, width: 12, height: 12 },
    },
  }

  @Part(() => FinishingPlan) finishing!: FinishingPlan
}

const finishingPlanned = defineEvent(edition, 'finishing-planned', (state, { finishing }: Planned) =>
  changed(state, { finishing }),
)

/** What is to be done with the prints after the press: colours by hand in batches, flattening, trimming, chop. */
export const planFinishing = defineAct(edition, 'plan-finishing', Planned, theirs, {
  events: [finishingPlanned],
  rule: ({ edition }, data) => {
    const fault = finishingFault(data.finishing, sheetLaidOut(edition))
    return fault ? refuseFault('finishing-unfit', fault) : [finishingPlanned.on(edition, data)]
  },
})
