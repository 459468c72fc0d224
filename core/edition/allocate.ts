import { plannedSize, usedNumbers } from './numbers'
import type { EditionState } from './state'
import type { Sheet } from './sheet'
import { inStackOrder } from './stack-order'
import { countedPullsOn, resultOn } from './pull'
import { type OrderSchool, proofSeries, type Series } from '../print/series'
import { awaitingNumbers } from '../edition/stack'

/** When the last layer met a sheet: its place among the pulls. */
function pulledAt(state: EditionState, sheet: Sheet): number {
  return Math.max(0, ...countedPullsOn(state, sheet).map((pull) => pull.ordinal))
}

/** Blemishes that stand against a print when the best comes first: faults noted and rescues on its way. */
function blemishes(state: EditionState, sheet: Sheet): number {
  return countedPullsOn(state, sheet).reduce((sum, pull) => {
    const { faults, verdict } = resultOn(state, pull, sheet)
    return sum + faults.length + (pull.rescued ? 1 : 0) + (verdict === 'doubtful' ? 2 : 0)
  }, 0)
}

/** Curated good prints without a number, in the order the school wants. `hand` goes by the order laid by hand, then by the serials. */
export function inOrder(state: EditionState, school: OrderSchool): Sheet[] {
  const sheets = [...awaitingNumbers(state)]
  const by = (key: (sheet: Sheet) => number) => sheets.sort((a, b) => key(a) - key(b) || a.id - b.id)
  switch (school) {
    case 'pulled':
      return by((sheet) => pulledAt(state, sheet))
    case 'curated':
      return sheets.sort(inStackOrder)
    case 'best':
      return by((sheet) => blemishes(state, sheet))
    case 'hand':
      return by((sheet) => placeAmong(state.ranking, sheet.id))
  }
}

/** Place in an order laid by hand; what was not laid comes after. */
export function placeAmong(ranking: readonly number[], sheetId: number): number {
  const place = ranking.indexOf(sheetId)
  return place < 0 ? ranking.length : place
}

/** Proofs that are promised, and that no print carries or is set aside for yet. */
export function proofsOwed(state: EditionState): number {
  const { proofs } = state.plan!
  return proofSeries.reduce((owed, series) => {
    const there = state.sheets.filter(
      ({ mark, destroyed, bound }) => !destroyed && (mark ? mark.series === series : bound === series),
    ).length
    return owed + Math.max(0, proofs[series] - there)
  }, 0)
}

/**
 * Prints that take numbers of a series, in the order its edition goes by: those set aside for it. Where none is set aside for
 * a series of proofs, they come from the edition's; so an edition that is as large as it was counted leaves as many back as
 * proofs are owed, while it has more.
 */
export function candidatesFor(state: EditionState, series: Series): Sheet[] {
  const waiting = inOrder(state, state.plan!.orderSchool)
  const own = waiting.filter(({ bound }) => bound === series)
  if (series === 'edition' && plannedSize(state.plan!, series) === null) {
    const kept = own.length - proofsOwed(state)
    const isBegun = state.seriesSize[series] !== undefined
    return kept > 0 || isBegun ? own.slice(0, Math.max(0, kept)) : own
  }
  return own.length > 0 || series === 'edition' ? own : waiting.filter(({ bound }) => bound === 'edition')
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
