import { imagesOn } from '../paper/piece'
import type { Layer } from './layer'
import { isLive, isBegun } from './pull'
import { pieceOf, type Sheet } from './sheet'
import type { EditionState } from './state'

/** Images that a piece of the edition's paper holds: as it was torn last, else as it is planned. */
export function imagesAPiece({ torn, piece, sheets }: EditionState): number {
  const shared = sheets.find(({ together }) => together.length > 0)
  return shared?.together.length ?? torn.at(-1)?.images ?? (piece ? imagesOn(piece.images) : 1)
}

/** Sheets that one pull of a layer prints as a rule. */
export function printedAtOnce(state: EditionState, layer: Layer): number {
  return Math.max(1, Math.min(layer.fills, imagesAPiece(state)))
}

/** Pulls that so many sheets take. */
export function pullsFor(state: EditionState, layer: Layer, sheets: number): number {
  return Math.ceil(sheets / printedAtOnce(state, layer))
}

/** Blank sheets that lie alone: they may be said to hold several images as long as nothing was pulled. */
export function undivided(state: EditionState): Sheet[] {
  if (state.layers.some(({ id }) => isBegun(state, id))) return []
  return state.sheets.filter(
    ({ together, pulls, parts, spoiled }) =>
      together.length === 0 && pulls.length === 0 && parts.length === 0 && spoiled === null,
  )
}

/** Pieces of paper that still lie together, each as its sheets. */
export function piecesTogether(state: EditionState): Sheet[][] {
  return state.sheets.flatMap((sheet) => (sheet.together[0] === sheet.id ? [pieceOf(state, sheet)] : []))
}

/** How a pull's sheets are told apart: only where it printed several. */
export function printedTogether(state: EditionState, pullId: string): Sheet[] {
  const carried = state.sheets.filter(({ pulls, parts }) => parts.length === 0 && pulls.includes(pullId))
  return carried.length > 1 && state.pulls.some((pull) => pull.pullId === pullId && isLive(pull)) ? carried : []
}
