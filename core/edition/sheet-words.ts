import { faultWord } from '../print/faults'
import { historyOf } from './history'
import { rowOf } from './count-rows'
import { placeOf, type Place } from './places'
import { resultOn } from './pull'
import type { Sheet } from './sheet'
import { numberOnSheet } from './sheet-number'
import type { EditionState } from './state'

function standingWords(place: Place, sheet: Sheet): string {
  if (place.kind === 'split') return `cut into ${sheet.parts.length}`
  if (place.kind === 'reject' && place.layer > 0) return `reject at layer ${place.layer}`
  return rowOf(place)!.label
}

/** How a sheet stands, in the words of the room: “doubtful, salt”, “edition, signed, 3/20”, “reject at layer 2, slur”. */
export function sheetWords(state: EditionState, sheet: Sheet): string {
  const place = placeOf(state, sheet)
  const faults = new Set([
    ...historyOf(state, sheet).pulls.flatMap((pull) => resultOn(state, pull, sheet).faults),
    ...(place.kind === 'reject' ? place.faults : []),
  ])
  const standing = standingWords(place, sheet)
  const left = sheet.gone ? `${sheet.gone.how}, left ${sheet.gone.on}` : ''
  return [standing, numberOnSheet(state, sheet), left, ...[...faults].map(faultWord)].filter(Boolean).join(', ')
}
