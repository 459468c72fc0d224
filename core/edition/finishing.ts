import { type FinishingStep, type SheetLaidOut, stepsOf } from '../finish/plan'
import { finishedSize } from '../paper/piece'
import { worst } from '../print/verdicts'
import { layersOn, isComplete } from './layers-on'
import { countedPullsOn, resultOn } from './pull'
import type { Sheet } from './sheet'
import type { EditionState } from './state'

/** Steps after the press that a sheet still lacks. */
export function stepsLeft({ finishing }: EditionState, sheet: Sheet): FinishingStep[] {
  return stepsOf(finishing).filter(({ key }) => !sheet.finished.includes(key))
}

/** Prints that came to the table together, as a batch: those lost since stay in their place. */
export interface Batch {
  number: number
  sheets: Sheet[]
}

/**
 * Every sheet that carries all layers, was no reject at the press and is no proof, in batches by serial: a batch keeps its
 * prints whatever befalls one after the press.
 */
export function batchesOf(state: EditionState): Batch[] {
  const printed = state.sheets.filter(
    (sheet) =>
      sheet.parts.length === 0 &&
      isComplete(state, layersOn(state, sheet)) &&
      worst(countedPullsOn(state, sheet).map((pull) => resultOn(state, pull, sheet).verdict)) !== 'reject' &&
      !sheet.pulls.some((id) => state.standards.some(({ pullId }) => pullId === id)),
  )
  const { batch } = state.finishing
  return Array.from({ length: Math.ceil(printed.length / batch) }, (_, i) => ({
    number: i + 1,
    sheets: printed.slice(i * batch, (i + 1) * batch),
  }))
}

/** Where image and mat lie on the finished sheet, as far as the piece and the registration sheet say; null while they do not. */
export function sheetLaidOut({ piece, register }: EditionState): SheetLaidOut | null {
  if (!piece) return null
  const { image, images, margins } = piece
  const placed = Array.from({ length: images.across * images.down }, (_, i) => ({
    ...image,
    left: margins.left + (i % images.across) * (image.width + images.gap),
    top: margins.top + Math.floor(i / images.across) * (image.height + images.gap),
  }))
  return { sheet: finishedSize(piece), images: placed, window: register?.register.mat ?? null }
}
