import { reasonMissing, type Refused, refuse } from '../ground/refusal'
import { isOpenWork } from '../print/series'
import type { Verdict } from '../print/verdicts'
import { layersOn } from './layers-on'
import { placeOf, standingVerdict } from './places'
import { heldFast, openWork, unknownSheet } from './refusals'
import { type Sheet, sheetOf } from './sheet'
import type { EditionState } from './state'

const neverPrints: ReadonlySet<string> = new Set(['proof', 'standard', 'bat', 'split', 'destroyed'])

/** Whether a sheet has been through the press and is looked at as a print. */
export function isPrint(state: EditionState, sheet: Sheet): boolean {
  return layersOn(state, sheet).length > 0 && !neverPrints.has(placeOf(state, sheet).kind) && !sheet.spoiled
}

/** Why a sheet cannot be looked at as a print, or null. */
export function noPrint(state: EditionState, sheetId: number): Refused | null {
  const sheet = sheetOf(state, sheetId)
  if (!sheet) return unknownSheet(sheetId)
  if (isOpenWork(state.plan)) return openWork()
  return isPrint(state, sheet)
    ? null
    : refuse(
        'not-a-print',
        `Sheet ${sheetId} is no print that can be curated (${placeOf(state, sheet).kind}).`,
        'sheetId',
      )
}

/** Why a print cannot be curated so, or null: a numbered one stays good, and a changed verdict asks for its reason. */
export function curatingFault(
  state: EditionState,
  { sheetId, verdict, reason }: { sheetId: number; verdict: Verdict; reason: string },
): Refused | null {
  const none = noPrint(state, sheetId)
  if (none) return none
  const sheet = sheetOf(state, sheetId)!
  const held = verdict === 'good' ? null : heldFast(sheet)
  if (held) return held
  const before = standingVerdict(state, sheet)
  return before !== verdict && reason.trim() === ''
    ? reasonMissing(`Sheet ${sheetId} was judged ${before}. Say why it is ${verdict} now.`)
    : null
}
