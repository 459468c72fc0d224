import { type Context, type Decision, refuse } from '../ledger/envelope'
import { faultKeys } from '../print/faults'
import type { EditionCommands } from './commands'
import { only, type Rules } from './rule'
import type { PullData } from './events'
import { isAlive, layersOn, placeOf } from './places'
import { isDryFor } from './stack'
import {
  type EditionState,
  isLive,
  type Layer,
  layerNumber,
  layerOf,
  livePullsOn,
  pullOf,
  type Sheet,
  sheetOf,
} from './state'

type Pulling =
  | 'pull'
  | 'judge-pull'
  | 'void-pull'
  | 'restore-pull'
  | 'settle-dispute'
  | 'adjust'
  | 'void-adjustment'
  | 'set-bat'
  | 'declare-dry'
  | 'cut-further'

/** Why a pull cannot be counted as it came, or null when it can. */
export interface Objection {
  rule: string
  message: string
}

function unknownFault(given: readonly string[]): Decision | null {
  const unknown = given.find((key) => !faultKeys.includes(key))
  return unknown === undefined
    ? null
    : refuse('unknown-fault', `“${unknown}” is not a fault the studio knows. Choose one from the list.`, 'faults')
}

function sheetObjection(
  state: EditionState,
  layer: Layer,
  sheet: Sheet,
  pull: Pick<PullData, 'kind' | 'wetOnWet'>,
): Objection | null {
  const place = placeOf(state, sheet)
  const layersBefore = state.layers.slice(0, layerNumber(state, layer.id) - 1)
  const on = layersOn(state, sheet)
  if (sheet.mark || sheet.signed) return { rule: 'numbered', message: `Sheet ${sheet.id} is numbered already.` }
  const proofPaper = place.kind === 'left behind' && pull.kind !== 'pull'
  if (!isAlive(place) && !proofPaper)
    return { rule: 'sheet-not-alive', message: `Sheet ${sheet.id} is no longer in the stack (${place.kind}).` }
  if (pull.kind !== 'pull') return null
  if (on.includes(layer.id))
    return {
      rule: 'layer-twice',
      message: `Sheet ${sheet.id} carries ${layer.name} already; another station may have taken it.`,
    }
  if (on.length > layersBefore.length)
    return { rule: 'layer-order', message: `Sheet ${sheet.id} already carries a later layer than ${layer.name}.` }
  const missing = layersBefore.find((before) => !on.includes(before.id))
  if (missing) return { rule: 'layer-order', message: `Sheet ${sheet.id} does not carry ${missing.name} yet.` }
  if (!pull.wetOnWet && !isDryFor(state, sheet, layer)) {
    return {
      rule: 'not-dry',
      message: `Nobody has said that the layer beneath is dry on sheet ${sheet.id}. Declare it dry, or say wet on wet.`,
    }
  }
  return null
}

/** Rules 1, 3, 7, 8 and 11 as they bear on one pull. */
export function pullObjection(
  state: EditionState,
  layer: Layer,
  pull: Pick<PullData, 'kind' | 'sheetIds' | 'wetOnWet'>,
): Objection | null {
  if (state.closedAt !== null) return { rule: 'closed', message: 'The edition was closed before this pull arrived.' }
  if (layer.cutFurther)
    return { rule: 'cut-further', message: `The block has been cut further; ${layer.name} takes no more pulls.` }
  return sheetsObjection(state, layer, pull)
}

function sheetsObjection(
  state: EditionState,
  layer: Layer,
  pull: Pick<PullData, 'kind' | 'sheetIds' | 'wetOnWet'>,
): Objection | null {
  for (const id of pull.sheetIds) {
    const sheet = sheetOf(state, id)
    const objection = sheet
      ? sheetObjection(state, layer, sheet, pull)
      : { rule: 'unknown-sheet', message: `There is no sheet ${id} in this edition.` }
    if (objection) return objection
  }
  return null
}

function decidePull({ edition }: { edition: EditionState }, data: EditionCommands['pull'], context: Context): Decision {
  const layer = layerOf(edition, data.layerId)
  if (!layer)
    return refuse(
      'unknown-layer',
      'That layer is not part of this edition. Reload the bench and choose a layer.',
      'layerId',
    )
  const fault = unknownFault(data.faults)
  if (fault) return fault
  if (data.kind === 'pull' && data.sheetIds.length === 0) {
    return refuse(
      'sheet-missing',
      'There is no sheet for this pull. Tear paper for the edition first; proofs and warm-up go on proof paper.',
      'sheetIds',
    )
  }
  if (new Set(data.sheetIds).size < data.sheetIds.length)
    return refuse('sheet-twice', 'One sheet cannot lie under the press twice.', 'sheetIds')
  const pull: PullData = {
    ...data,
    pullId: context.commandId,
    proofKind: data.kind === 'proof' ? (data.proofKind ?? 'WP') : null,
    setupSeq: layer.setups.some((setup) => setup.seq === data.setupSeq)
      ? data.setupSeq
      : (layer.setups.at(-1)?.seq ?? 0),
  }
  const objection = pullObjection(edition, layer, pull)
  return objection ? only(edition, 'pull-disputed', { ...pull, ...objection }) : only(edition, 'pulled', pull)
}

/** Why a pull may not be taken off its sheets, or null. */
function holdsOn(state: EditionState, pull: PullData): Decision | null {
  for (const id of pull.sheetIds) {
    const sheet = sheetOf(state, id)
    if (!sheet) continue
    if (sheet.signed) return refuse('signed', `Sheet ${id} is signed. Withdraw the signature first, with a reason.`)
    if (sheet.mark)
      return refuse(
        'numbered',
        `Sheet ${id} carries ${sheet.mark.series} ${sheet.mark.number}. Take the numbers back first.`,
      )
    if (sheet.parts.length > 0) return refuse('split', `Sheet ${id} has been split; this pull belongs to both halves.`)
    if (
      livePullsOn(state, sheet).some((other) => layerNumber(state, other.layerId) > layerNumber(state, pull.layerId))
    ) {
      return refuse('later-layer', `Sheet ${id} carries a later layer. Void that pull first.`)
    }
  }
  return null
}

const unknownPull = () =>
  refuse('unknown-pull', 'There is no such pull in this edition. Reload the page and look at the tally.', 'pullId')

export const pullingRules: Rules<Pulling> = {
  pull: decidePull,

  'judge-pull': ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (pull.voided) return refuse('voided', 'This pull is void. Restore it before judging it.')
    const sheets = pull.sheetIds.map((id) => sheetOf(edition, id))
    const numbered = sheets.find((sheet) => sheet?.mark)
    if (numbered && data.verdict !== 'good') {
      return refuse(
        'numbered',
        `Sheet ${numbered.id} carries ${numbered.mark!.series} ${numbered.mark!.number}. Take the numbers back first.`,
      )
    }
    return unknownFault(data.faults) ?? only(edition, 'pull-judged', data)
  },

  'void-pull': ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (pull.voided) return refuse('voided', 'This pull is void already.')
    if (pull.disputed) return refuse('disputed', 'This pull is disputed. Settle it from the count instead.')
    if (edition.bat?.pullId === pull.pullId) return refuse('is-bat', 'This pull is the BAT. Choose another BAT first.')
    return holdsOn(edition, pull) ?? only(edition, 'pull-voided', data)
  },

  'restore-pull': ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    const layer = pull && layerOf(edition, pull.layerId)
    if (!pull || !layer) return unknownPull()
    if (!pull.voided) return refuse('not-void', 'This pull is not void.')
    // It was accepted once: only what its sheets went through since can stand against it.
    // A block cut further meanwhile does not: the pull was made before the cut.
    const uncut = { ...edition, layers: edition.layers.map((other) => ({ ...other, cutFurther: false })) }
    const objection = sheetsObjection(uncut, layer, { ...pull, wetOnWet: true })
    if (objection) return refuse(objection.rule, `It cannot come back as it was. ${objection.message}`)
    return only(edition, 'pull-restored', data)
  },

  'settle-dispute': ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    const layer = pull && layerOf(edition, pull.layerId)
    if (!pull || !layer) return unknownPull()
    if (!pull.disputed || pull.disputed.settled)
      return refuse('not-disputed', 'This pull is not waiting to be settled.')
    if (data.reason.trim() === '')
      return refuse('reason-missing', 'Say why, in a few words, so that the record can be read later.', 'reason')
    if (data.outcome === 'void') return only(edition, 'dispute-settled', { ...data, sheetId: null })
    if (data.sheetId === null) return refuse('sheet-missing', 'Choose the sheet this pull really lies on.', 'sheetId')
    if (edition.closedAt !== null)
      return refuse('closed', 'Reopen the edition first, with a reason, to count this pull.')
    // A person says it happened, so when it arrived and how dry the sheet was no longer matter.
    const objection = sheetsObjection(edition, layer, { ...pull, sheetIds: [data.sheetId], wetOnWet: true })
    if (objection) return refuse(objection.rule, objection.message, 'sheetId')
    return only(edition, 'dispute-settled', data)
  },

  adjust: ({ edition }, data, context) => {
    if (!layerOf(edition, data.layerId))
      return refuse('unknown-layer', 'That layer is not part of this edition.', 'layerId')
    return only(edition, 'adjusted', { ...data, adjustmentId: context.commandId })
  },

  'void-adjustment': ({ edition }, data) => {
    const adjustment = edition.adjustments.find((a) => a.id === data.adjustmentId)
    if (!adjustment || adjustment.voided)
      return refuse('unknown-adjustment', 'There is no such adjustment to take back.')
    return only(edition, 'adjustment-voided', data)
  },

  'set-bat': ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (!isLive(pull)) return refuse('not-live', 'A void or disputed pull cannot be the BAT.')
    if (pull.kind !== 'proof')
      return refuse(
        'not-a-proof',
        'The BAT is chosen among the proofs. Pull a proof, or judge this one as a proof.',
        'pullId',
      )
    const replaced = edition.bat?.pullId ?? null
    if (replaced === data.pullId) return refuse('is-bat', 'This proof is the BAT already.')
    if (replaced !== null && data.reason.trim() === '')
      return refuse('reason-missing', 'There is a BAT already: say why it is replaced.', 'reason')
    return only(edition, 'bat-set', { ...data, replaced })
  },

  'declare-dry': ({ edition }, data) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return refuse('unknown-layer', 'That layer is not part of this edition.', 'layerId')
    const bare = data.sheetIds.find((id) => {
      const sheet = sheetOf(edition, id)
      return !sheet || !livePullsOn(edition, sheet).some((pull) => pull.layerId === layer.id)
    })
    if (bare !== undefined) return refuse('not-printed', `Sheet ${bare} does not carry ${layer.name}.`, 'sheetIds')
    if (data.sheetIds.length === 0) return refuse('no-sheet', 'Choose the sheets that are dry.', 'sheetIds')
    return only(edition, 'declared-dry', data)
  },

  'cut-further': ({ edition }, data) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return refuse('unknown-layer', 'That layer is not part of this edition.', 'layerId')
    if (layer.cutFurther) return refuse('cut-already', 'This block has been cut further already.')
    return only(edition, 'block-cut-further', data)
  },
}
