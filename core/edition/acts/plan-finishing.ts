import { finishingFault, type FinishingPlan } from '../../finish/plan'
import { definePlainAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuseFault } from '../../ground/refusal'
import { sheetLaidOut } from '../finishing'
import { edition } from '../stream'
import { theirs } from '../who'

interface Planned {
  finishing: FinishingPlan
}

const finishingPlanned = defineEvent(edition, 'finishing-planned', (state, { finishing }: Planned) =>
  changed(state, { finishing }),
)

/** What is to be done with the prints after the press: colours by hand in batches, flattening, trimming, chop. */
export const planFinishing = definePlainAct(edition, 'plan-finishing', theirs, {
  events: [finishingPlanned],
  rule: ({ edition }, data: Planned) => {
    const fault = finishingFault(data.finishing, sheetLaidOut(edition))
    return fault ? refuseFault('finishing-unfit', fault) : [finishingPlanned.on(edition, data)]
  },
})
