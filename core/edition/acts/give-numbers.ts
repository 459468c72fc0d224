import { IsIn, IsInt, Max, Min } from 'class-validator'
import { Parts, SheetId } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { type Refused, refuse } from '../../ground/refusal'
import { allSeries, isOpenWork, type Series } from '../../print/series'
import { editSheet } from '../edit'
import { plannedSize, usedNumbers } from '../numbers'
import { placeOf } from '../places'
import { anySigned, sheetOf } from '../sheet'
import type { EditionState } from '../state'
import { openWork } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class Assignment {
  @SheetId() sheetId!: number
  @IsInt() @Min(0) @Max(5000) number!: number
}

class Numbers {
  static readonly sample: Numbers = { series: 'AP', size: 2, assignments: [{ sheetId: 1, number: 1 }] }

  @IsIn(allSeries) series!: Series
  @IsInt() @Min(1) @Max(2000) size!: number
  @Parts(() => Assignment, 2000) assignments!: Assignment[]
}

const numbersGiven = defineEvent(edition, 'numbers-given', (state, { series, size, assignments }: Numbers) => {
  const numbered = assignments.reduce(
    (given, { sheetId, number }) => editSheet(given, sheetId, (sheet) => ({ ...sheet, mark: { series, number } })),
    state,
  )
  return changed(numbered, { seriesSize: { ...numbered.seriesSize, [series]: size } })
})

/** Numbers are given to curated prints, all or none. */
export const giveNumbers = defineAct(edition, 'give-numbers', Numbers, theirs, {
  guarded: true,
  events: [numbersGiven],
  rule: ({ edition }, data) => {
    if (isOpenWork(edition.plan)) return openWork()
    if (data.assignments.length === 0)
      return refuse('no-sheet', 'No sheet was chosen, so no number was given.', 'assignments')
    return sizeFault(edition, data) ?? assignmentsFault(edition, data) ?? [numbersGiven.on(edition, data)]
  },
})

/** A planned size is a promise: numbers may wait unpulled. Otherwise the series is as large as what was given. */
function sizeFault(state: EditionState, { series, size }: Numbers): Refused | null {
  const planned = plannedSize(state.plan!, series)
  if (planned !== null && size !== planned)
    return refuse(
      'size-declared',
      `${series === 'edition' ? 'The edition' : series} was declared as ${planned}; ${size} was given. Change the plan, or amend it once a print is signed.`,
      'size',
    )
  const known = state.seriesSize[series]
  if (known !== undefined && known !== size && anySigned(state))
    return refuse(
      'size-fixed',
      `A print is signed, so the series stays at ${known}. Change it by an amendment.`,
      'size',
    )
  return null
}

function assignmentsFault(state: EditionState, { series, size, assignments }: Numbers): Refused | null {
  const refused = (code: string, message: string) => refuse(code, `${message} No number was given.`, 'assignments')
  const used = usedNumbers(state, series)
  const sheets = new Set<number>()
  for (const { sheetId, number } of assignments) {
    const unfit = sheetFault(state, sheetId, series)
    if (unfit) return refused(unfit.code, unfit.message)
    if (!Number.isInteger(number) || number < 1 || number > size)
      return refused('number-range', `${series} ${number} is outside 1 to ${size}.`)
    if (used.has(number)) return refused('number-used', `${series} ${number} is used already.`)
    if (sheets.has(sheetId)) return refused('sheet-twice', `Sheet ${sheetId} is named twice.`)
    used.add(number)
    sheets.add(sheetId)
  }
  const highest = Math.max(...used)
  return size >= highest
    ? null
    : refuse('number-range', `Number ${highest} needs a series of at least ${highest}.`, 'size')
}

function sheetFault(state: EditionState, id: number, series: Series): { code: string; message: string } | null {
  const sheet = sheetOf(state, id)
  if (!sheet) return { code: 'unknown-sheet', message: `There is no sheet ${id} in this edition.` }
  if (sheet.mark)
    return { code: 'numbered', message: `Sheet ${id} carries ${sheet.mark.series} ${sheet.mark.number} already.` }
  if (sheet.gone) return { code: 'gone', message: `Sheet ${id} is not here; it left on ${sheet.gone.on}.` }
  if (sheet.bound !== 'edition' && sheet.bound !== series)
    return {
      code: 'set-aside',
      message: `Sheet ${id} is set aside for ${sheet.bound === 'archive' ? 'the archive' : sheet.bound}. Put it back to the edition first.`,
    }
  const place = placeOf(state, sheet)
  if (place.kind !== 'good')
    return { code: 'not-good', message: `Sheet ${id} is ${place.kind}, so it can carry no number.` }
  return place.curated
    ? null
    : { code: 'not-curated', message: `Sheet ${id} is not curated yet. Curate it, then give numbers.` }
}
