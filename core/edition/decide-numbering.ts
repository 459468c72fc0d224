import { type Decision, refuse } from '../ledger/envelope'
import type { Series } from '../plan/plan'
import type { EditionCommands } from './commands'
import { only, type Rules } from './rule'
import { hasEveryLayer, placeOf, standingVerdict } from './places'
import { anySigned, type EditionState, layerNumber, livePullsOn, type Sheet, sheetOf } from './state'

type Numbering =
  | 'give-numbers'
  | 'withdraw-numbers'
  | 'sign'
  | 'withdraw-signing'
  | 'destroy-print'
  | 'amend-size'
  | 'close'
  | 'reopen'

const reasonMissing = (what: string) =>
  refuse('reason-missing', `Say why ${what}, so that the record can be read later.`, 'reason')

/** Declared sizes are a promise: numbers may wait unpulled. Otherwise the series is as large as what was given. */
function sizeFault(state: EditionState, data: EditionCommands['give-numbers']): Decision | null {
  const declared = data.series === 'edition' ? state.plan!.size : null
  if (declared !== null && state.plan!.sizeSchool === 'declared' && data.size !== declared) {
    return refuse(
      'size-declared',
      `The edition was declared as ${declared}; ${data.size} was given. Change the plan, or amend it once a print is signed.`,
      'size',
    )
  }
  const known = state.seriesSize[data.series]
  if (known !== undefined && known !== data.size && anySigned(state)) {
    return refuse(
      'size-fixed',
      `A print is signed, so the series stays at ${known}. Change it by an amendment.`,
      'size',
    )
  }
  return null
}

function assignmentFault(
  state: EditionState,
  series: Series,
  size: number,
  sheet: Sheet | undefined,
  id: number,
  number: number,
): Decision | null {
  if (!sheet)
    return refuse('unknown-sheet', `There is no sheet ${id} in this edition. No number was given.`, 'assignments')
  if (!Number.isInteger(number) || number < 1 || number > size)
    return refuse('number-range', `${series} ${number} is outside 1 to ${size}. No number was given.`, 'assignments')
  if (sheet.mark)
    return refuse(
      'numbered',
      `Sheet ${id} carries ${sheet.mark.series} ${sheet.mark.number} already. No number was given.`,
      'assignments',
    )
  const place = placeOf(state, sheet)
  if (place.kind !== 'good')
    return refuse(
      'not-good',
      `Sheet ${id} is ${place.kind}, so it can carry no number. No number was given.`,
      'assignments',
    )
  if (!place.curated)
    return refuse('not-curated', `Sheet ${id} is not curated yet. Curate it, then give numbers.`, 'assignments')
  return null
}

/** Numbers that no sheet may take: standing on a live print, or retired with a destroyed one. */
export function usedNumbers(state: EditionState, series: Series): Set<number> {
  return new Set(
    state.sheets
      .filter((sheet) => sheet.mark?.series === series && !sheet.destroyed?.replaceable)
      .map((sheet) => sheet.mark!.number),
  )
}

function signingFault(state: EditionState, sheet: Sheet): Decision | null {
  if (sheet.destroyed) return refuse('destroyed', `Sheet ${sheet.id} is destroyed.`)
  if (sheet.signed) return refuse('signed', `Sheet ${sheet.id} is signed already.`)
  if (!sheet.mark) return refuse('no-number', `Sheet ${sheet.id} has no number yet. Give numbers first.`)
  if (!hasEveryLayer(state, sheet)) return refuse('layers-missing', `Sheet ${sheet.id} does not carry every layer yet.`)
  if (!sheet.curated || standingVerdict(state, sheet) !== 'good')
    return refuse('not-curated-good', `Sheet ${sheet.id} is not curated good.`)
  const last = livePullsOn(state, sheet).reduce((a, b) =>
    layerNumber(state, b.layerId) > layerNumber(state, a.layerId) ? b : a,
  )
  if (!sheet.dry.includes(last.layerId))
    return refuse('not-dry', `Nobody has said that sheet ${sheet.id} is dry. Declare the last layer dry, then sign.`)
  return null
}

export const numberingRules: Rules<Numbering> = {
  'give-numbers': ({ edition }, data) => {
    if (data.assignments.length === 0)
      return refuse('no-sheet', 'No sheet was chosen, so no number was given.', 'assignments')
    const fault = sizeFault(edition, data)
    if (fault) return fault
    const used = usedNumbers(edition, data.series)
    const sheets = new Set<number>()
    for (const { sheetId, number } of data.assignments) {
      const wrong = assignmentFault(edition, data.series, data.size, sheetOf(edition, sheetId), sheetId, number)
      if (wrong) return wrong
      if (used.has(number))
        return refuse('number-used', `${data.series} ${number} is used already. No number was given.`, 'assignments')
      if (sheets.has(sheetId))
        return refuse('sheet-twice', `Sheet ${sheetId} is named twice. No number was given.`, 'assignments')
      used.add(number)
      sheets.add(sheetId)
    }
    if (edition.plan!.sizeSchool !== 'declared' || data.series !== 'edition') {
      const highest = Math.max(...used)
      if (data.size < highest)
        return refuse('number-range', `Number ${highest} needs a series of at least ${highest}.`, 'size')
    }
    return only(edition, 'numbers-given', data)
  },

  'withdraw-numbers': ({ edition }, data) => {
    const unsigned = edition.sheets.filter(
      (sheet) => sheet.mark?.series === data.series && !sheet.signed && !sheet.destroyed,
    )
    if (unsigned.length === 0)
      return refuse('nothing-to-withdraw', 'There is no unsigned number in this series. A signed number never moves.')
    if (data.reason.trim() === '') return reasonMissing('the numbers are taken back')
    return only(edition, 'numbers-withdrawn', data)
  },

  sign: ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return refuse('unknown-sheet', `There is no sheet ${data.sheetId} in this edition.`, 'sheetId')
    return signingFault(edition, sheet) ?? only(edition, 'print-signed', data)
  },

  'withdraw-signing': ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet?.signed || sheet.destroyed)
      return refuse('not-signed', `Sheet ${data.sheetId} is not signed.`, 'sheetId')
    if (data.reason.trim() === '') return reasonMissing('the tick is taken back')
    return only(edition, 'signing-withdrawn', data)
  },

  'destroy-print': ({ edition, studio }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet?.mark)
      return refuse(
        'no-number',
        'Only a numbered print is destroyed; any other sheet is rejected or spoiled.',
        'sheetId',
      )
    if (sheet.destroyed) return refuse('destroyed', `Sheet ${sheet.id} is destroyed already.`)
    if (data.reason.trim() === '') return reasonMissing('the print is destroyed')
    return only(edition, 'print-destroyed', { ...data, replaceable: studio.destroyedNumber === 'replaced' })
  },

  'amend-size': ({ edition }, data) => {
    if (!anySigned(edition)) return refuse('not-signed', 'No print is signed yet: change the plan instead.')
    if (data.reason.trim() === '') return reasonMissing('the size changes')
    if (!Number.isInteger(data.size) || data.size < 1 || data.size > 2000)
      return refuse('size-range', `An edition has 1 to 2000 prints; ${data.size} was given.`, 'size')
    for (const series of ['edition', 'AP', 'PP', 'HC'] as const) {
      const wanted = series === 'edition' ? data.size : data.proofs[series]
      const highest = Math.max(0, ...usedNumbers(edition, series))
      if (wanted < highest)
        return refuse(
          'size-below-numbers',
          `${series} ${highest} is given already, so the series cannot be ${wanted}.`,
          'size',
        )
    }
    return only(edition, 'size-amended', data)
  },

  close: ({ edition }, data) => {
    const disputed = edition.pulls.filter((pull) => pull.disputed && !pull.disputed.settled).length
    if (disputed > 0)
      return refuse(
        'disputed',
        `${disputed} disputed pulls wait to be settled. Settle them from the count, then close.`,
      )
    const unsigned = edition.sheets.filter((sheet) => sheet.mark && !sheet.signed && !sheet.destroyed).length
    if (unsigned > 0)
      return refuse(
        'unsigned',
        `${unsigned} numbered prints are not signed yet. Sign them, or take their numbers back.`,
      )
    return only(edition, 'edition-closed', data)
  },

  reopen: ({ edition }, data) => {
    if (edition.closedAt === null) return refuse('not-closed', 'This edition is open.')
    if (data.reason.trim() === '') return reasonMissing('the edition is reopened')
    return only(edition, 'edition-reopened', data)
  },
}
