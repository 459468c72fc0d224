import { definePlainAct, defineEvent } from '../../ground/act'
import type { Verdict } from '../../print/verdicts'
import { curatingFault } from '../curating-fault'
import { editSheet } from '../edit'
import { edition } from '../stream'
import { theirs } from '../who'

interface Curated {
  sheetId: number
  verdict: Verdict
  reason: string
}

const sheetCurated = defineEvent(edition, 'sheet-curated', (state, { sheetId, verdict, reason }: Curated, event) =>
  editSheet(state, sheetId, (sheet) => ({
    ...sheet,
    curated: { verdict, reason, seq: event.seq, place: 0, mark: state.passMark },
  })),
)

/** A print is looked at beside the BAT. */
export const curate = definePlainAct(edition, 'curate', theirs, {
  events: [sheetCurated],
  rule: ({ edition }, data: Curated) => curatingFault(edition, data) ?? [sheetCurated.on(edition, data)],
})
