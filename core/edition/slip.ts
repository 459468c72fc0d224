import { isGone } from './refusals'
import { type Refused, refuse } from '../ground/refusal'
import { takeOffSheets } from './edit'
import { layerNumber, layerOf } from './layer'
import { carriesLater } from './layers-on'
import { isLive, type Pull, pullOf } from './pull'
import { sheetOf } from './sheet'
import { stackFor } from './stack'
import type { EditionState } from './state'

/** A pull that really lies on another sheet than it was counted on. */
export interface Move {
  pullId: string
  ordinal: number
  from: number
  to: number
}

/** Further than this nobody slips without seeing it. */
export const furthestSlip = 20

/**
 * What putting a slip right moves: from one pull on, every pull that the same person made of that layer lies so many
 * sheets further (or earlier) in the stack as it came to the press. Sheets that others pulled meanwhile are stepped over.
 * @param by sheets further, below zero for earlier
 * @returns the moves in the order of the pulls, or why it cannot be (rules 1 and 8)
 */
export function slipMoves(state: EditionState, pullId: string, by: number): Move[] | Refused {
  const first = pullOf(state, pullId)
  const layer = first && layerOf(state, first.layerId)
  if (!first || !layer) return refuse('unknown-pull', 'There is no such pull in this edition.')
  if (!isLive(first)) return refuse('not-counted', 'That pull is void or disputed; it lies on no sheet.')
  if (!Number.isInteger(by) || by === 0 || Math.abs(by) > furthestSlip)
    return refuse('slip-range', `A slip is 1 to ${furthestSlip} sheets further or earlier; ${by} was given.`, 'by')
  const moved = state.pulls.filter(
    (pull) =>
      pull.ordinal >= first.ordinal &&
      pull.layerId === first.layerId &&
      pull.by === first.by &&
      isLive(pull) &&
      pull.sheetIds.length > 0,
  )
  const held = moved.map((pull) => heldWhere(state, pull)).find((refused) => refused !== null)
  if (held) return held
  // The stack as it would lie there had none of these been pulled: only a sheet that could have come may have come.
  const before = moved.reduce<EditionState>(takeOffSheets, state)
  const stack = stackFor(before, layer).map(({ id }) => id)
  const moves: Move[] = []
  for (const { pullId: id, ordinal, sheetIds } of moved) {
    const from = sheetIds[0]!
    const place = stack.indexOf(from)
    const to = place < 0 ? undefined : stack[place + by]
    if (to === undefined)
      return refuse(
        'no-such-sheet',
        place < 0
          ? `Pull ${ordinal} lies on sheet ${from}, which was not in the stack of ${layer.name}. Void it, or move less.`
          : `There is no sheet ${Math.abs(by)} ${by > 0 ? 'further' : 'earlier'} than sheet ${from} for pull ${ordinal}. Move less, or begin at another pull.`,
        'by',
      )
    moves.push({ pullId: id, ordinal, from, to })
  }
  return moves
}

/** Why a pull stays on its sheet, or null. */
function heldWhere(state: EditionState, pull: Pull): Refused | null {
  if (pull.sheetIds.length > 1)
    return refuse(
      'several-sheets',
      `Pull ${pull.ordinal} lies on several sheets at once. Void it first, or begin after it.`,
    )
  const sheet = sheetOf(state, pull.sheetIds[0]!)
  if (!sheet) return null
  if (sheet.gone) return isGone(sheet, sheet.gone)
  if (sheet.mark || sheet.signed)
    return refuse('numbered', `Sheet ${sheet.id} is numbered already. Take the numbers back first.`)
  if (sheet.parts.length > 0)
    return refuse('split', `Sheet ${sheet.id} has been cut apart; its pull belongs to every part.`)
  const number = layerNumber(state, pull.layerId)
  return carriesLater(state, sheet, number)
    ? refuse('later-layer', `Sheet ${sheet.id} carries a later layer. Void that pull first.`)
    : null
}
