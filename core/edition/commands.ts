import type { BlockDescription } from '../block/block'
import type { ExposureRecord } from '../block/exposure'
import type { BlendPlan, OverprintPlan, RollUp, ShareReading } from '../ink/roll-up'
import type { PiecePlan } from '../paper/piece'
import type { EditionPlan, Series } from '../plan/plan'
import type { RegisterPlan } from '../register/registration'
import type { AdjustmentKind, ProofKind, PullKind, Rescue, Verdict } from '../print/verdicts'
import type { Packing, ScrewSetting, StackOrder } from './events'

/** Every command an edition takes, by type. Names are what the printer does. */
export interface EditionCommands {
  'start-edition': { title: string; plan: EditionPlan }
  'change-plan': { title: string; plan: EditionPlan; reason: string }
  'add-layer': { name: string; blocks: string[] }
  'change-layer': { layerId: string; name: string; blocks: string[]; routine: string; stackOrder: StackOrder }
  'set-zones': { layerId: string; zones: { id: string; name: string; batchId: string | null }[] }
  'set-press': {
    layerId: string
    pressId: string
    packing: Packing[]
    left: ScrewSetting
    right: ScrewSetting
    note: string
  }
  'plan-piece': { piece: PiecePlan }
  tear: {
    lotId: string
    lotSheets: number
    /** Good pieces got. */
    count: number
    /** Pieces torn wrong: they are sheets too, and spoiled. */
    wrong: number
    reason: string
    /** Size of a piece, mm; 0 when it was not said. */
    width: number
    height: number
    /** The ration it is torn from, or null for the shelf. */
    rationId: string | null
    /** Offcuts kept as proof paper, each size as a lot of its own. */
    offcuts: { lotId: string; width: number; height: number; count: number }[]
  }
  'prepare-block': { block: BlockDescription }
  'change-block': { blockId: string; block: BlockDescription }
  'record-block-state': { blockId: string; name: string; cutOn: string; note: string; pictureId: string | null }
  'find-exposure': { blockId: string; exposure: ExposureRecord }
  'draw-register': { register: RegisterPlan; formatId: string | null }
  'set-roll-up': { layerId: string; rollUp: RollUp }
  'set-inked-share': { blockId: string; share: number; reading: ShareReading | null }
  'plan-overprint': { overprint: OverprintPlan }
  'plan-blend': { layerId: string; blend: BlendPlan | null }
  pull: {
    layerId: string
    kind: PullKind
    proofKind: ProofKind | null
    verdict: Verdict
    sheetIds: number[]
    faults: string[]
    rescued: Rescue | null
    wetOnWet: boolean
    setupSeq: number
    batchIds: string[]
  }
  'judge-pull': { pullId: string; verdict: Verdict; faults: string[]; rescued: Rescue | null; reason: string }
  'void-pull': { pullId: string; reason: string }
  'restore-pull': { pullId: string }
  'settle-dispute': { pullId: string; outcome: 'void' | 'move'; sheetId: number | null; reason: string }
  adjust: { layerId: string; kind: AdjustmentKind; note: string }
  'void-adjustment': { adjustmentId: string }
  'set-bat': { pullId: string; reason: string }
  'declare-dry': { layerId: string; sheetIds: number[] }
  'cut-further': { layerId: string }
  'spoil-sheet': { sheetId: number; fault: string; reason: string }
  'recover-sheet': { sheetId: number; reason: string }
  'split-sheet': { sheetId: number }
  curate: { sheetId: number; verdict: Verdict; reason: string }
  'give-numbers': { series: Series; size: number; assignments: { sheetId: number; number: number }[] }
  'withdraw-numbers': { series: Series; reason: string }
  sign: { sheetId: number }
  'withdraw-signing': { sheetId: number; reason: string }
  'destroy-print': { sheetId: number; reason: string }
  'amend-size': { size: number; proofs: EditionPlan['proofs']; reason: string }
  close: { note: string }
  reopen: { reason: string }
}

/** A tear from the shelf in which every piece came out right. */
export function tornRight(
  lotId: string,
  lotSheets: number,
  count: number,
  size = { width: 0, height: 0 },
): EditionCommands['tear'] {
  return { lotId, lotSheets, count, wrong: 0, reason: '', ...size, rationId: null, offcuts: [] }
}

export type EditionCommandType = keyof EditionCommands

/** Commands that must have seen the edition as it stands: refused when `expectedSeq` is stale. */
export const guardedCommands: ReadonlySet<string> = new Set<EditionCommandType>([
  'change-plan',
  'cut-further',
  'give-numbers',
  'withdraw-numbers',
  'amend-size',
  'close',
  'reopen',
])
