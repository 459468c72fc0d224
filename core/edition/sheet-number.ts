import { numberAsWritten } from '../print/pencil-line'
import type { Sheet } from './sheet'
import type { EditionState } from './state'

/**
 * The size a print's number stands over: what was in force when it was signed. An amendment changes no pencil line; until
 * someone says it was put right, the print says what it said.
 */
export function writtenOver(state: EditionState, sheet: Sheet): number {
  const { mark, pencilledOver } = sheet
  return pencilledOver ?? (mark && state.seriesSize[mark.series]) ?? 0
}

/** A print's number as it stands on it, or is to stand: “7/30”; empty where it has none. */
export function numberOnSheet(state: EditionState, sheet: Sheet): string {
  return sheet.mark && state.plan ? numberAsWritten(state.plan, sheet.mark, writtenOver(state, sheet)) : ''
}

/** Signed prints whose line says another size than their series has now; where lines name no size, none does. */
export function writtenOtherwise(state: EditionState): Sheet[] {
  return state.sheets.filter(({ mark, destroyed, pencilledOver }) => {
    if (!mark || destroyed || pencilledOver === null || !state.plan) return false
    const written = (size: number) => numberAsWritten(state.plan!, mark, size)
    return written(pencilledOver) !== written(state.seriesSize[mark.series] ?? 0)
  })
}
