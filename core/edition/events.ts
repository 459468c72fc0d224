import type { BlockDescription } from '../block/block'
import type { ExposureRecord } from '../block/exposure'
import type { BlendPlan, OverprintPlan, RollUp, ShareReading } from '../ink/roll-up'
import type { PiecePlan } from '../paper/piece'
import type { EditionPlan, Series } from '../plan/plan'
import type { RegisterPlan } from '../register/registration'
import type { AdjustmentKind, ProofKind, PullKind, Rescue, Verdict } from '../print/verdicts'

export interface Packing {
  name: string
  /** Thickness in mm. */
  thickness: number
}

/** One screw's setting, counted from that screw's own zero. */
export interface ScrewSetting {
  turns: number
  divisions: number
}

/** One press set-up, copied into the edition so that it folds by itself. */
export interface PressSetup {
  pressId: string
  pressName: string
  packing: Packing[]
  left: ScrewSetting
  right: ScrewSetting
  note: string
}

/** A part of the layer that is inked by itself. */
export interface Zone {
  id: string
  name: string
  /** The ink batch it is rolled with, or null while none is chosen. */
  batchId: string | null
  batchName: string
}

/** What a printer says of one meeting of sheet and block. */
export interface PullData {
  pullId: string
  layerId: string
  kind: PullKind
  proofKind: ProofKind | null
  verdict: Verdict
  /** The edition's sheets under the press: none for newsprint, one as a rule. */
  sheetIds: number[]
  faults: string[]
  rescued: Rescue | null
  wetOnWet: boolean
  /** `seq` of the press-set event in force at the press, 0 when none was recorded. */
  setupSeq: number
  /** Batches in force, one for each inked zone that has one. */
  batchIds: string[]
}

export interface DisputedPullData extends PullData {
  rule: string
  message: string
}

/** A block as cut at one moment. */
export interface BlockStateData {
  blockId: string
  stateId: string
  name: string
  /** Day it was cut, ISO date. */
  cutOn: string
  note: string
  /** A picture or a rubbing of it, by the hash of its file, or null. */
  pictureId: string | null
}

/** Every event of an edition's stream, by type. */
export interface EditionEvents {
  'edition-started': { title: string; plan: EditionPlan }
  'plan-changed': { title: string; plan: EditionPlan; reason: string }
  'layer-added': { layerId: string; name: string; blocks: string[]; zones: Zone[] }
  'layer-changed': { layerId: string; name: string; blocks: string[]; routine: string; stackOrder: StackOrder }
  'zones-set': { layerId: string; zones: Zone[] }
  'press-set': { layerId: string; setup: PressSetup }
  'piece-planned': { piece: PiecePlan }
  'sheets-torn': {
    lotId: string
    lotName: string
    lotSheets: number
    count: number
    pricePerLotSheet: number
    width: number
    height: number
  }
  'block-prepared': { blockId: string; block: BlockDescription }
  'block-changed': { blockId: string; block: BlockDescription }
  'block-state-recorded': BlockStateData
  'exposure-found': { blockId: string; exposure: ExposureRecord }
  'register-drawn': { register: RegisterPlan; formatId: string | null }
  'roll-up-set': { layerId: string; rollUp: RollUp }
  'inked-share-found': { blockId: string; share: number; reading: ShareReading | null }
  'overprint-planned': { overprint: OverprintPlan }
  'blend-planned': { layerId: string; blend: BlendPlan | null }
  pulled: PullData
  'pull-disputed': DisputedPullData
  'dispute-settled': { pullId: string; outcome: 'void' | 'move'; sheetId: number | null; reason: string }
  'pull-judged': { pullId: string; verdict: Verdict; faults: string[]; rescued: Rescue | null; reason: string }
  'pull-voided': { pullId: string; reason: string }
  'pull-restored': { pullId: string }
  adjusted: { adjustmentId: string; layerId: string; kind: AdjustmentKind; note: string }
  'adjustment-voided': { adjustmentId: string }
  'bat-set': { pullId: string; replaced: string | null; reason: string }
  'declared-dry': { layerId: string; sheetIds: number[] }
  'block-cut-further': { layerId: string }
  'sheet-spoiled': { sheetId: number; fault: string; reason: string }
  'sheet-recovered': { sheetId: number; reason: string }
  'sheet-split': { sheetId: number; parts: number[] }
  'sheet-curated': { sheetId: number; verdict: Verdict; reason: string }
  'numbers-given': { series: Series; size: number; assignments: { sheetId: number; number: number }[] }
  'numbers-withdrawn': { series: Series; reason: string }
  'print-signed': { sheetId: number }
  'signing-withdrawn': { sheetId: number; reason: string }
  'print-destroyed': { sheetId: number; reason: string; replaceable: boolean }
  'size-amended': { size: number; proofs: EditionPlan['proofs']; reason: string }
  'edition-closed': { note: string }
  'edition-reopened': { reason: string }
}

/** Which end of the last layer's stack comes to the press first. */
export type StackOrder = 'pulled' | 'reversed'

export type EditionEventType = keyof EditionEvents
