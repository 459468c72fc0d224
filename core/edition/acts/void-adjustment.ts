import { definePlainAct, defineEvent } from '../../ground/act'
import { changed, replacedWhere } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { edition } from '../stream'
import { theirs } from '../who'

interface Voided {
  adjustmentId: string
}

const adjustmentVoided = defineEvent(edition, 'adjustment-voided', (state, { adjustmentId }: Voided) =>
  changed(state, {
    adjustments: replacedWhere(
      state.adjustments,
      (adjustment) => adjustment.id === adjustmentId,
      (adjustment) => ({ ...adjustment, voided: true }),
    ),
  }),
)

/** An adjustment was noted by mistake. */
export const voidAdjustment = definePlainAct(edition, 'void-adjustment', theirs, {
  events: [adjustmentVoided],
  rule: ({ edition }, data: Voided) => {
    const adjustment = edition.adjustments.find((known) => known.id === data.adjustmentId)
    return adjustment && !adjustment.voided
      ? [adjustmentVoided.on(edition, data)]
      : refuse('unknown-adjustment', 'There is no such adjustment to take back.')
  },
})
