import type { EditionPlan } from '../plan/plan'
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

/** The size a plan gives a series, or null when it follows from the prints that are numbered. */
export function plannedSize({ size, sizeSchool, proofs }: EditionPlan, series: Series): number | null {
  if (series !== 'edition') return proofs[series]
  return sizeSchool === 'counted' || sizeSchool === 'open' ? null : size
}

/** Sizes of the series that numbers were given in, as a plan moves them: a series never has two. */
export function sizesUnder(plan: EditionPlan, sizes: EditionState['seriesSize']): EditionState['seriesSize'] {
  const known = Object.entries(sizes) as [Series, number][]
  return Object.fromEntries(known.map(([series, size]) => [series, plannedSize(plan, series) ?? size]))
}
