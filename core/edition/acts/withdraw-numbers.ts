import { IsIn } from 'class-validator'
import { Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed, replacedWhere } from '../../ground/fold'
import { reasonMissing, refuse } from '../../ground/refusal'
import { allSeries, type Series } from '../../print/series'
import type { Sheet } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class Withdrawn {
  static readonly sample: Withdrawn = { series: 'edition', reason: 'x' }

  @IsIn(allSeries) series!: Series
  @Words(500) reason!: string
}

/** A signed number never moves, nor one that was destroyed with its print. */
const isUnsigned = (series: Series) => (sheet: Sheet) =>
  sheet.mark?.series === series && !sheet.signed && !sheet.destroyed

const numbersWithdrawn = defineEvent(edition, 'numbers-withdrawn', (state, { series }: Withdrawn) => {
  const sheets = replacedWhere(state.sheets, isUnsigned(series), (sheet) => ({ ...sheet, mark: null }))
  // A series without a number has no size either: it is counted anew.
  const { [series]: size, ...others } = state.seriesSize
  const isGiven = size !== undefined && sheets.some((sheet) => sheet.mark?.series === series)
  return changed(state, { sheets, seriesSize: isGiven ? state.seriesSize : others })
})

/** The unsigned numbers of a series are taken back. */
export const withdrawNumbers = defineAct(edition, 'withdraw-numbers', Withdrawn, theirs, {
  guarded: true,
  events: [numbersWithdrawn],
  rule: ({ edition }, data) => {
    if (!edition.sheets.some(isUnsigned(data.series)))
      return refuse('nothing-to-withdraw', 'There is no unsigned number in this series. A signed number never moves.')
    return data.reason.trim() === ''
      ? reasonMissing('Say why the numbers are taken back, so that the record can be read later.')
      : [numbersWithdrawn.on(edition, data)]
  },
})
