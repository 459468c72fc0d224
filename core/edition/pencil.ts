import { initialsOf, lineWidth } from '../print/hand-width'
import { type PencilLine, pencilLine } from '../print/pencil-line'
import { allSeries } from '../print/series'
import { placeOf } from './places'
import type { Sheet } from './sheet'
import { writtenOver } from './sheet-number'
import { inStackOrder } from './stack-order'
import type { EditionState } from './state'

/** The exact line below the image of a numbered print, in the studio's custom. */
export function lineOf(state: EditionState, sheet: Sheet): PencilLine {
  const plan = state.plan!
  const artist = state.initials ? initialsOf(plan.artist) : plan.artist
  const mark = sheet.mark!
  return pencilLine({ ...plan, artist }, state.title, mark, writtenOver(state, sheet))
}

/** Whether a line is wider than the image it stands below, mm over; 0 where it fits or nobody said how wide the image is. */
export function overImage(line: PencilLine, imageWidth: number | null): number {
  return imageWidth === null ? 0 : Math.max(0, lineWidth(line) - imageWidth)
}

/** Prints that carry a number, as the stack lies: by series, then in the order they were looked at. */
export function signingList(state: EditionState): Sheet[] {
  const series = (sheet: Sheet) => allSeries.indexOf(sheet.mark!.series)
  return state.sheets
    .filter((sheet) => sheet.mark && !sheet.destroyed && sheet.parts.length === 0)
    .sort((a, b) => series(a) - series(b) || inStackOrder(a, b))
}

/** A sheet that is no part of an edition, and what is pencilled on it so that nobody takes it for one. */
export interface OutsideMark {
  sheet: Sheet
  /** What is written, or what is done where nothing is written. */
  mark: string
}

/** Every sheet outside the numbered series that should carry a mark: proofs, standards, the archive, rejects. */
export function outsideMarks(state: EditionState): OutsideMark[] {
  return state.sheets.flatMap((sheet) => {
    const mark = outsideMark(state, sheet)
    return mark ? [{ sheet, mark }] : []
  })
}

const proofMarks: Record<string, string> = {
  WP: 'working proof',
  SP: 'state proof',
  CTP: 'colour trial',
}

function outsideMark(state: EditionState, sheet: Sheet): string {
  const place = placeOf(state, sheet)
  switch (place.kind) {
    case 'bat':
      return 'BAT'
    case 'standard':
      return `standard, layer ${place.layer}`
    case 'proof':
      return proofMarks[place.proof] ?? place.proof
    case 'archive':
      return 'archive'
    case 'reject':
    case 'left behind':
      return 'struck through'
    default:
      return ''
  }
}
