import { SheetId } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { doerOf } from '../../ground/envelope'
import { type Refused, refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { hasEveryLayer } from '../layers-on'
import { standingVerdict } from '../places'
import { unknownSheet } from '../refusals'
import { type Sheet, sheetOf } from '../sheet'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

class Signed {
  static readonly sample: Signed = { sheetId: 1 }

  @SheetId() sheetId!: number
}

const printSigned = defineEvent(edition, 'print-signed', (state, { sheetId }: Signed, event) =>
  editSheet(state, sheetId, (sheet) => ({
    ...sheet,
    signed: true,
    pencilledOver: sheet.mark ? (state.seriesSize[sheet.mark.series] ?? null) : null,
    signing: { at: event.occurredAt, ...doerOf(event) },
  })),
)

/** A print is signed in pencil and ticked off. */
export const sign = defineAct(edition, 'sign', Signed, theirs, {
  asksAgain: true,
  events: [printSigned],
  rule: ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    return signingFault(edition, sheet) ?? [printSigned.on(edition, data)]
  },
})

/** Rule 5: every layer on it, curated good, dry and numbered. */
function signingFault(state: EditionState, sheet: Sheet): Refused | null {
  if (sheet.destroyed) return refuse('destroyed', `Sheet ${sheet.id} is destroyed.`)
  if (sheet.signed) return refuse('signed', `Sheet ${sheet.id} is signed already.`)
  if (!sheet.mark) return refuse('no-number', `Sheet ${sheet.id} has no number yet. Give numbers first.`)
  if (!hasEveryLayer(state, sheet)) return refuse('layers-missing', `Sheet ${sheet.id} does not carry every layer yet.`)
  if (!sheet.curated || standingVerdict(state, sheet) !== 'good')
    return refuse('not-curated-good', `Sheet ${sheet.id} is not curated good.`)
  if (sheet.dry.includes(state.layers.at(-1)!.id)) return null
  return refuse('not-dry', `Nobody has said that sheet ${sheet.id} is dry. Declare the last layer dry, then sign.`)
}
