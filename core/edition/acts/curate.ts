import { IsIn } from 'class-validator'
import { SheetId, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { type Verdict, verdicts } from '../../print/verdicts'
import { curatingFault } from '../curating-fault'
import { editSheet } from '../edit'
import { edition } from '../stream'
import { theirs } from '../who'

class Curated {
  static readonly sample: Curated = { sheetId: 1, verdict: 'good', reason: '' }

  @SheetId() sheetId!: number
  @IsIn(verdicts) verdict!: Verdict
  @Words(500) reason!: string
}

const sheetCurated = defineEvent(edition, 'sheet-curated', (state, { sheetId, verdict, reason }: Curated, event) =>
  editSheet(state, sheetId, (sheet) => ({
    ...sheet,
    curated: { verdict, reason, seq: event.seq, place: 0, mark: state.passMark },
  })),
)

/** A print is looked at beside the BAT. */
export const curate = defineAct(edition, 'curate', Curated, theirs, {
  events: [sheetCurated],
  rule: ({ edition }, data) => curatingFault(edition, data) ?? [sheetCurated.on(edition, data)],
})
