import { isOpenWork } from '../print/series'
import { layersOn } from './layers-on'
import { isAlive, placeOf } from './places'
import { type Layer, layerNumber } from './layer'
import type { Objection, PullData } from './pull'
import { type Sheet, sheetOf } from './sheet'
import { isDryFor } from './stack'
import type { EditionState } from './state'

type PullLaid = Pick<PullData, 'kind' | 'sheetIds' | 'wetOnWet'> & {
  /** It lay there before and comes back: that its sheets were rejected or proofed on since does not stand against it. */
  restored?: true
  /** A person says that it happened: a block cut further since does not stand against it. */
  happened?: true
}

/** Rules 1, 3, 7, 8 and 11 as they bear on one pull; null when it can be counted. */
export function pullObjection(state: EditionState, layer: Layer, pull: PullLaid): Objection | null {
  if (state.closedAt !== null) return { rule: 'closed', message: 'The edition was closed before this pull arrived.' }
  if (layer.cutFurther)
    return { rule: 'cut-further', message: `The block has been cut further; ${layer.name} takes no more pulls.` }
  if (layer.withoutPull && pull.kind === 'pull')
    return { rule: 'without-pull', message: `${layer.name} is laid without a press; it takes no pulls.` }
  return sheetsObjection(state, layer, pull)
}

/** What its sheets have against a pull. */
export function sheetsObjection(state: EditionState, layer: Layer, pull: PullLaid): Objection | null {
  for (const id of pull.sheetIds) {
    const sheet = sheetOf(state, id)
    const objection = sheet
      ? sheetObjection(state, layer, sheet, pull)
      : { rule: 'unknown-sheet', message: `There is no sheet ${id} in this edition.` }
    if (objection) return objection
  }
  return null
}

function sheetObjection(state: EditionState, layer: Layer, sheet: Sheet, pull: PullLaid): Objection | null {
  const place = placeOf(state, sheet)
  if (sheet.mark || sheet.signed) return { rule: 'numbered', message: `Sheet ${sheet.id} is numbered already.` }
  if (sheet.gone) return { rule: 'gone', message: `Sheet ${sheet.id} left the room on ${sheet.gone.on}.` }
  const proofPaper = place.kind === 'left behind' && (pull.kind !== 'pull' || pull.happened === true)
  const lostSince = pull.restored === true && ['reject', 'proof', 'standard', 'bat'].includes(place.kind)
  if (!isAlive(place) && !proofPaper && !lostSince)
    return { rule: 'sheet-not-alive', message: `Sheet ${sheet.id} is no longer in the stack (${place.kind}).` }
  return pull.kind === 'pull' && !isOpenWork(state.plan) ? orderObjection(state, layer, sheet, pull.wetOnWet) : null
}

/** Rule 8: each layer once, after the one before, and not before that is dry. */
function orderObjection(state: EditionState, layer: Layer, sheet: Sheet, wetOnWet: boolean): Objection | null {
  const before = state.layers.slice(0, layerNumber(state, layer.id) - 1)
  const on = layersOn(state, sheet)
  if (on.includes(layer.id))
    return {
      rule: 'layer-twice',
      message: `Sheet ${sheet.id} carries ${layer.name} already; another station may have taken it.`,
    }
  if (on.length > before.length)
    return { rule: 'layer-order', message: `Sheet ${sheet.id} already carries a later layer than ${layer.name}.` }
  const missing = before.find((earlier) => !on.includes(earlier.id))
  if (missing) return { rule: 'layer-order', message: `Sheet ${sheet.id} does not carry ${missing.name} yet.` }
  if (wetOnWet || isDryFor(state, sheet, layer)) return null
  return {
    rule: 'not-dry',
    message: `Nobody has said that the layer beneath is dry on sheet ${sheet.id}. Declare it dry, or say wet on wet.`,
  }
}
