import { Id } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed, replacedWhere } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { edition } from '../stream'
import { theirs } from '../who'

class Voided {
  static readonly sample: Voided = { adjustmentId: 'a' }

  @Id('adjustment') adjustmentId!: string
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
export const voidAdjustment = defineAct(edition, 'void-adjustment', Voided, theirs, {
  events: [adjustmentVoided],
  rule: ({ edition }, data) => {
    const adjustment = edition.adjustments.find((known) => known.id === data.adjustmentId)
    return adjustment && !adjustment.voided
      ? [adjustmentVoided.on(edition, data)]
      : refuse('unknown-adjustment', 'There is no such adjustment to take back.')
  },
})
