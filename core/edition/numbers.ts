import type { Series } from '../print/series'
import type { EditionState } from './state'

/** Numbers that no sheet may take: standing on a live print, or retired with a destroyed one. */
export function usedNumbers(state: Pick<EditionState, 'sheets'>, series: Series): Set<number> {
  return new Set(
    state.sheets
      .filter((sheet) => sheet.mark?.series === series && !sheet.destroyed?.replaceable)
      .map((sheet) => sheet.mark!.number),
  )
}
