import { SheetId, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import { studio } from '../../stores/studio/stream'
import { editSheet } from '../edit'
import { sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class Destroyed {
  static readonly sample: Destroyed = { sheetId: 1, reason: 'x' }

  @SheetId() sheetId!: number
  @Words(500) reason!: string
}

const printDestroyed = defineEvent(
  edition,
  'print-destroyed',
  (state, { sheetId, reason, replaceable }: Destroyed & { replaceable: boolean }) =>
    editSheet(state, sheetId, (sheet) => ({ ...sheet, destroyed: { reason, replaceable } })),
)

/** A numbered print is destroyed. Whether another may take its number is the studio's policy at that moment. */
export const destroyPrint = defineAct(edition, 'destroy-print', Destroyed, theirs, {
  needs: () => ({ studio: studio.of() }),
  events: [printDestroyed],
  rule: ({ edition, studio }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet?.mark)
      return refuse(
        'no-number',
        'Only a numbered print is destroyed; any other sheet is rejected or spoiled.',
        'sheetId',
      )
    if (sheet.destroyed) return refuse('destroyed', `Sheet ${sheet.id} is destroyed already.`)
    return data.reason.trim() === ''
      ? reasonMissing('Say why the print is destroyed, so that the record can be read later.')
      : [printDestroyed.on(edition, { ...data, replaceable: studio.destroyedNumber === 'replaced' })]
  },
})
