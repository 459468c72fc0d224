import { IsIn } from 'class-validator'
import { Id, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import { type AdjustmentKind, adjustmentKinds } from '../../print/verdicts'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class Adjustment {
  static readonly sample: Adjustment = { layerId: 'l', kind: 'packing', note: '' }

  @Id('layer') layerId!: string
  @IsIn(adjustmentKinds) kind!: AdjustmentKind
  @Words(200) note!: string
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
export const adjust = defineAct(edition, 'adjust', Adjustment, theirs, {
  events: [adjusted],
  rule: ({ edition }, data, context) =>
    layerOf(edition, data.layerId)
      ? [adjusted.on(edition, { ...data, adjustmentId: context.commandId })]
      : unknownLayer(),
})
