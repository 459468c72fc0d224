import { refuse } from '../ledger/envelope'
import { faultKeys } from '../print/faults'
import { only, type Rules } from './rule'
import { layersOn, placeOf, standingVerdict } from './places'
import { sheetOf } from './state'

type Curating = 'spoil-sheet' | 'recover-sheet' | 'split-sheet' | 'curate'

const unknownSheet = (id: number) => refuse('unknown-sheet', `There is no sheet ${id} in this edition.`, 'sheetId')
const holds = (id: number, series: string, number: number) =>
  refuse('numbered', `Sheet ${id} carries ${series} ${number}. Take the numbers back first.`)

export const curatingRules: Rules<Curating> = {
  'spoil-sheet': ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    if (sheet.spoiled) return refuse('spoiled', `Sheet ${sheet.id} is spoiled already.`)
    if (sheet.parts.length > 0) return refuse('split', `Sheet ${sheet.id} has been split; choose one of its parts.`)
    if (sheet.mark) return holds(sheet.id, sheet.mark.series, sheet.mark.number)
    if (!faultKeys.includes(data.fault))
      return refuse('unknown-fault', `“${data.fault}” is not a fault the studio knows.`, 'fault')
    return only(edition, 'sheet-spoiled', data)
  },

  'recover-sheet': ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    if (!sheet.spoiled) return refuse('not-spoiled', `Sheet ${sheet.id} is not marked spoiled.`)
    if (data.reason.trim() === '') return refuse('reason-missing', 'Say why the sheet is good after all.', 'reason')
    return only(edition, 'sheet-recovered', data)
  },

  'split-sheet': ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    if (sheet.parts.length > 0) return refuse('split', `Sheet ${sheet.id} has been split already.`)
    if (sheet.mark) return holds(sheet.id, sheet.mark.series, sheet.mark.number)
    const first = edition.sheets.length + 1
    return only(edition, 'sheet-split', { sheetId: sheet.id, parts: [first, first + 1] })
  },

  curate: ({ edition }, data) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    const place = placeOf(edition, sheet)
    if (
      layersOn(edition, sheet).length === 0 ||
      place.kind === 'proof' ||
      place.kind === 'bat' ||
      place.kind === 'split' ||
      place.kind === 'destroyed' ||
      sheet.spoiled
    ) {
      return refuse('not-a-print', `Sheet ${sheet.id} is no print that can be curated (${place.kind}).`, 'sheetId')
    }
    if (sheet.mark && data.verdict !== 'good') return holds(sheet.id, sheet.mark.series, sheet.mark.number)
    const before = standingVerdict(edition, sheet)
    if (before !== data.verdict && data.reason.trim() === '') {
      return refuse(
        'reason-missing',
        `Sheet ${sheet.id} was judged ${before}. Say why it is ${data.verdict} now.`,
        'reason',
      )
    }
    return only(edition, 'sheet-curated', data)
  },
}
