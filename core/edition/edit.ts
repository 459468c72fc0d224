import { type Happening, notStoredYet } from '../ground/envelope'
import { appended, changed, replacedAt, replacedWhere } from '../ground/fold'
import type { Layer } from './layer'
import { type Pull, type PullData, pullOf } from './pull'
import { carriersOf, type Sheet } from './sheet'
import type { Block, EditionState } from './state'

/** Changes that several evolvers make. All are total: what is not there is left alone. */

export function editSheet(state: EditionState, sheetId: number, change: (sheet: Sheet) => Sheet): EditionState {
  const sheet = state.sheets[sheetId - 1]
  return sheet ? changed(state, { sheets: replacedAt(state.sheets, sheetId - 1, change(sheet)) }) : state
}

export function editLayer(state: EditionState, layerId: string, change: (layer: Layer) => Layer): EditionState {
  return changed(state, { layers: replacedWhere(state.layers, (layer) => layer.id === layerId, change) })
}

export function editBlock(state: EditionState, blockId: string, change: (block: Block) => Block): EditionState {
  return changed(state, { blocks: replacedWhere(state.blocks, (block) => block.id === blockId, change) })
}

export function editPull(state: EditionState, pullId: string, change: (pull: Pull) => Pull): EditionState {
  const pull = pullOf(state, pullId)
  return pull ? changed(state, { pulls: replacedAt(state.pulls, pull.ordinal - 1, change(pull)) }) : state
}

type Laid = Pick<PullData, 'pullId' | 'layerId' | 'sheetIds'>

/**
 * A sheet whose pulls are others now: what was said of them, dry or good, was said of those before.
 * @param pulls a list of its own: sheets cut from one share theirs
 */
const withPulls = (sheet: Sheet, pulls: string[], layerId: string): Sheet =>
  changed(sheet, {
    pulls,
    // Empty as a rule, and then not worth another list for each of thousands of pulls.
    dry: sheet.dry.includes(layerId) ? sheet.dry.filter((layer) => layer !== layerId) : sheet.dry,
    curated: null,
    views: sheet.views.length > 0 ? [] : sheet.views,
  })

/** Both sides of the link between pulls and sheets are kept: here the sheets'. */
export function layOnSheets(state: EditionState, { pullId, layerId, sheetIds }: Laid): EditionState {
  return sheetIds.reduce(
    (lain, id) =>
      editSheet(lain, id, (sheet) =>
        sheet.pulls.includes(pullId) ? sheet : withPulls(sheet, [...sheet.pulls, pullId], layerId),
      ),
    state,
  )
}

/** A pull off its sheets, and off the parts they were cut into. */
export function takeOffSheets(state: EditionState, pull: Laid): EditionState {
  return carriersOf(state, pull).reduce(
    (taken, { id }) =>
      editSheet(taken, id, (sheet) =>
        sheet.pulls.includes(pull.pullId)
          ? withPulls(
              sheet,
              sheet.pulls.filter((other) => other !== pull.pullId),
              pull.layerId,
            )
          : sheet,
      ),
    state,
  )
}

/** One pull more, on its sheets unless it is disputed. */
export function recordPull(
  state: EditionState,
  data: PullData,
  event: Happening,
  disputed: Pull['disputed'],
): EditionState {
  // Field by field: spreading was most of what reading a long edition cost.
  const pull: Pull = {
    pullId: data.pullId,
    layerId: data.layerId,
    kind: data.kind,
    proofKind: data.proofKind,
    verdict: data.verdict,
    sheetIds: data.sheetIds,
    faults: data.faults,
    rescued: data.rescued,
    wetOnWet: data.wetOnWet,
    setupSeq: data.setupSeq,
    batchIds: data.batchIds,
    ordinal: state.pulls.length + 1,
    seq: event.seq,
    at: event.occurredAt,
    position: event.position ?? notStoredYet,
    by: event.actor,
    via: event.via ?? null,
    voided: false,
    apart: [],
    grade: null,
    disputed,
  }
  if (event.claimedAt) pull.claimedAt = event.claimedAt
  const next = changed(state, { pulls: appended(state.pulls, pull) })
  return disputed === null ? layOnSheets(next, data) : next
}
