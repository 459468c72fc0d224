import { definePlainAct, defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import type { AdjustmentKind } from '../../print/verdicts'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

interface Adjustment {
  layerId: string
  kind: AdjustmentKind
  note: string
}

const adjusted = defineEvent(edition, 'adjusted', (state, data: Adjustment & { adjustmentId: string }, event) =>
  changed(state, {
    adjustments: appended(state.adjustments, {
      id: data.adjustmentId,
      layerId: data.layerId,
      kind: data.kind,
      note: data.note,
      afterPull: state.pulls.length,
      at: event.occurredAt,
      voided: false,
    }),
  }),
)

/** Something was changed between two pulls: a tick under the tally. */
export const adjust = definePlainAct(edition, 'adjust', theirs, {
  events: [adjusted],
  rule: ({ edition }, data: Adjustment, context) =>
    layerOf(edition, data.layerId)
      ? [adjusted.on(edition, { ...data, adjustmentId: context.commandId })]
      : unknownLayer(),
})
