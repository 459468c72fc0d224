import { plannedSize, usedNumbers } from './numbers'
import type { EditionState } from './state'
import type { Sheet } from './sheet'
import { livePullsOn, saidOn } from './pull'
import type { OrderSchool, Series } from '../print/series'
import { awaitingNumbers } from '../edition/stack'

/** When the last layer met a sheet: its place among the pulls. */
function pulledAt(state: EditionState, sheet: Sheet): number {
  return Math.max(0, ...livePullsOn(state, sheet).map((pull) => pull.ordinal))
}

/** Blemishes that stand against a print when the best comes first: faults noted and rescues on its way. */
function blemishes(state: EditionState, sheet: Sheet): number {
  return livePullsOn(state, sheet).reduce((sum, pull) => {
    const { faults, verdict } = saidOn(state, pull, sheet)
    return sum + faults.length + (pull.rescued ? 1 : 0) + (verdict === 'doubtful' ? 2 : 0)
  }, 0)
}

/** Curated good prints without a number, in the order the school wants. `hand` starts from the sheets' serials. */
export function inOrder(state: EditionState, school: OrderSchool): Sheet[] {
  const sheets = [...awaitingNumbers(state)]
  const by = (key: (sheet: Sheet) => number) => sheets.sort((a, b) => key(a) - key(b) || a.id - b.id)
  switch (school) {
    case 'pulled':
      return by((sheet) => pulledAt(state, sheet))
    case 'curated':
      return by((sheet) => sheet.curated?.seq ?? 0)
    case 'best':
      return by((sheet) => blemishes(state, sheet))
    case 'hand':
      return by((sheet) => sheet.id)
  }
}

export interface Allocation {
  series: Series
  size: number
  assignments: { sheetId: number; number: number }[]
}

/**
 * Number a series over the sheets given, lowest free number first. A declared edition may have more numbers than
 * sheets: the rest wait unpulled.
 * @param sheets in the order they take numbers; surplus sheets get none
 */
export function allocate(state: EditionState, series: Series, sheets: readonly Sheet[]): Allocation {
  const plan = state.plan!
  const used = usedNumbers(state, series)
  const size = plannedSize(plan, series) ?? Math.max(state.seriesSize[series] ?? 0, used.size + sheets.length)
  const free = Array.from({ length: size }, (_, i) => i + 1).filter((number) => !used.has(number))
  return {
    series,
    size,
    assignments: sheets.slice(0, free.length).map((sheet, i) => ({ sheetId: sheet.id, number: free[i]! })),
  }
}
