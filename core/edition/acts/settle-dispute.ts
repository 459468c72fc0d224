import { IsIn } from 'class-validator'
import { Id, OrNull, SheetId, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { editPull, layOnSheets } from '../edit'
import { layerOf } from '../layer'
import { sheetsObjection } from '../objection'
import { pullOf } from '../pull'
import { unknownPull } from '../refusals'
import { edition } from '../stream'

class Settled {
  static readonly sample: Settled = { pullId: 'p', reason: 'seen', outcome: 'move', sheetId: 3 }

  @Id('pull') pullId!: string
  @IsIn(['void', 'move']) outcome!: 'void' | 'move'
  /** The sheet it really lies on, when it is moved. */
  @OrNull() @SheetId() sheetId!: number | null
  @Words(500) reason!: string
}

const disputeSettled = defineEvent(edition, 'dispute-settled', (state, { pullId, outcome, sheetId }: Settled) => {
  const moved = outcome === 'move'
  const settled = editPull(state, pullId, (pull) => ({
    ...pull,
    voided: !moved,
    sheetIds: moved && sheetId !== null ? [sheetId] : pull.sheetIds,
    disputed: moved || pull.disputed === null ? null : { ...pull.disputed, settled: true },
  }))
  const pull = pullOf(settled, pullId)
  return pull && moved ? layOnSheets(settled, pull) : settled
})

/** A person says what became of a pull that could not be counted as it came. */
export const settleDispute = defineAct(edition, 'settle-dispute', Settled, staff, {
  late: true,
  events: [disputeSettled],
  rule: ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    const layer = pull && layerOf(edition, pull.layerId)
    if (!pull || !layer) return unknownPull()
    if (!pull.disputed || pull.disputed.settled)
      return refuse('not-disputed', 'This pull is not waiting to be settled.')
    if (data.reason.trim() === '')
      return reasonMissing('Say why, in a few words, so that the record can be read later.')
    if (data.outcome === 'void') return [disputeSettled.on(edition, { ...data, sheetId: null })]
    if (edition.closedAt !== null)
      return refuse('closed', 'Reopen the edition first, with a reason, to count this pull.')
    if (data.sheetId === null)
      return pull.sheetIds.length === 0 && pull.kind !== 'pull'
        ? [disputeSettled.on(edition, data)]
        : refuse('sheet-missing', 'Choose the sheet this pull really lies on.', 'sheetId')
    // A person says it happened, so when it arrived and how dry the sheet was no longer matter.
    const objection = sheetsObjection(edition, layer, {
      ...pull,
      sheetIds: [data.sheetId],
      wetOnWet: true,
      happened: true,
    })
    return objection ? refuse(objection.rule, objection.message, 'sheetId') : [disputeSettled.on(edition, data)]
  },
})
