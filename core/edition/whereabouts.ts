import { allSeries } from '../print/series'
import { placeOf } from './places'
import type { Sheet } from './sheet'
import { numberOnSheet } from './sheet-number'
import type { EditionState } from './state'

/** What a print is called once it is done: its number as it is written, or what it is kept as. */
export function printName(state: EditionState, sheet: Sheet): string {
  if (sheet.mark && state.plan) return numberOnSheet(state, sheet)
  const { kind } = placeOf(state, sheet)
  return kind === 'bat' ? 'BAT' : kind
}

/** Kept outside the edition, yet things one gives away. */
const outside: ReadonlySet<string> = new Set(['archive', 'bat', 'standard', 'proof'])

const inSeries = (a: Sheet, b: Sheet): number => {
  const place = ({ mark }: Sheet) => (mark ? allSeries.indexOf(mark.series) : allSeries.length)
  return place(a) - place(b) || (a.mark?.number ?? a.id) - (b.mark?.number ?? b.id)
}

/** Signed prints, proofs and what the archive holds, that are still in the room. */
export function printsHere(state: EditionState): Sheet[] {
  return state.sheets
    .filter((sheet) => {
      if (sheet.gone || sheet.destroyed || sheet.parts.length > 0) return false
      const place = placeOf(state, sheet)
      return place.kind === 'marked' ? sheet.signed : outside.has(place.kind)
    })
    .sort(inSeries)
}

export function printsGone(state: EditionState): Sheet[] {
  return state.sheets.filter(({ gone }) => gone !== null).sort(inSeries)
}
