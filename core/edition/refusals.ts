import type { Refused } from '../ground/refusal'
import { refuse } from '../ground/refusal'
import { faultKeys } from '../print/faults'
import type { Gone } from '../print/whereabouts'
import type { Sheet } from './sheet'

/** Refusals that several acts give. */

export function unknownLayer(): Refused {
  return refuse(
    'unknown-layer',
    'That layer is not part of this edition. Reload the page and choose a layer from the list.',
    'layerId',
  )
}

export function unknownBlock(): Refused {
  return refuse(
    'unknown-block',
    'That block is not part of this edition. Reload the page and choose a block from the list.',
    'blockId',
  )
}

export function unknownPull(): Refused {
  return refuse(
    'unknown-pull',
    'There is no such pull in this edition. Reload the page and look at the tally.',
    'pullId',
  )
}

export function unknownSheet(sheetId: number): Refused {
  return refuse('unknown-sheet', `There is no sheet ${sheetId} in this edition.`, 'sheetId')
}

/** A sheet that carries a number is not touched while it does. */
function isNumbered({ id, mark }: Sheet): Refused {
  return refuse('numbered', `Sheet ${id} carries ${mark?.series} ${mark?.number}. Take the numbers back first.`)
}

/** A print that left is first taken back. */
export function isGone({ id }: Sheet, { how, on }: Gone): Refused {
  return refuse('gone', `Sheet ${id} left on ${on}: ${how}. Say that it came back first.`, 'sheetId')
}

/** Why nothing may be changed of a sheet's pulls and verdict: it carries a number, or is not here; null where it may. */
export function heldFast(sheet: Sheet): Refused | null {
  if (sheet.mark) return isNumbered(sheet)
  return sheet.gone ? isGone(sheet, sheet.gone) : null
}

/** A fault nobody knows, or null when all are known. */
export function unknownFault(given: readonly string[], field: string): Refused | null {
  const unknown = given.find((key) => !faultKeys.includes(key))
  return unknown === undefined
    ? null
    : refuse('unknown-fault', `“${unknown}” is not a fault the studio knows. Choose one from the list.`, field)
}

/** Open work is no edition: nothing of it is curated, set aside, numbered or signed. */
export function openWork(): Refused {
  return refuse(
    'open-work',
    'This is open work: its pieces are not curated, numbered or signed. Judge an impression under Pull instead.',
  )
}
