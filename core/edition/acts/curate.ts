import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import type { Verdict } from '../../print/verdicts'
import { editSheet } from '../edit'
import { layersOn } from '../layers-on'
import { placeOf, standingVerdict } from '../places'
import { isNumbered, unknownSheet } from '../refusals'
import { type Sheet, sheetOf } from '../sheet'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

interface Curated {
  sheetId: number
  verdict: Verdict
  reason: string
}

const sheetCurated = defineEvent(edition, 'sheet-curated', (state, { sheetId, verdict, reason }: Curated, event) =>
  editSheet(state, sheetId, (sheet) => ({ ...sheet, curated: { verdict, reason, seq: event.seq } })),
)

/** A print is looked at beside the BAT. */
export const curate = defineAct(edition, 'curate', theirs, {
  events: [sheetCurated],
  rule: ({ edition }, data: Curated) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    if (!isPrint(edition, sheet))
      return refuse(
        'not-a-print',
        `Sheet ${sheet.id} is no print that can be curated (${placeOf(edition, sheet).kind}).`,
        'sheetId',
      )
    if (sheet.mark && data.verdict !== 'good') return isNumbered(sheet)
    const before = standingVerdict(edition, sheet)
    if (before !== data.verdict && data.reason.trim() === '')
      return reasonMissing(`Sheet ${sheet.id} was judged ${before}. Say why it is ${data.verdict} now.`)
    return [sheetCurated.on(edition, data)]
  },
})

const neverPrints: ReadonlySet<string> = new Set(['proof', 'standard', 'bat', 'split', 'destroyed'])

function isPrint(state: EditionState, sheet: Sheet): boolean {
  return layersOn(state, sheet).length > 0 && !neverPrints.has(placeOf(state, sheet).kind) && !sheet.spoiled
}
