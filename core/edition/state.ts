import type { BlockDescription } from '../block/block'
import type { ExposureRecord } from '../block/exposure'
import type { BlendPlan, OverprintPlan, RollUp, ShareReading } from '../ink/roll-up'
import type { PiecePlan } from '../paper/piece'
import type { EditionPlan, Series } from '../plan/plan'
import type { RegisterPlan } from '../register/registration'
import type { AdjustmentKind, Verdict } from '../print/verdicts'
import type { BlockStateData, PressSetup, PullData, StackOrder, Zone } from './events'

export interface Layer {
  id: string
  name: string
  blocks: string[]
  zones: Zone[]
  routine: string
  stackOrder: StackOrder
  /** How it is rolled up, once that is said. */
  rollUp: RollUp | null
  /** Inks side by side on one roller, or null for one ink to a zone. */
  blend: BlendPlan | null
  /** Every set-up this layer has had, with the `seq` of the event that set it; the last is in force. */
  setups: { seq: number; setup: PressSetup }[]
  /** True once the block has been cut to its next state: no more pulls (reduction). */
  cutFurther: boolean
}

export interface Pull extends PullData {
  /** Place among the edition's pulls, from 1, as the ledger received them. */
  ordinal: number
  seq: number
  at: string
  by: string
  voided: boolean
  /** Why a late pull could not be counted, until a person settles it. */
  disputed: { rule: string; message: string; settled: boolean } | null
}

export interface Sheet {
  /** The edition's own serial, from 1. */
  id: number
  lotId: string
  lotName: string
  /** Live pulls on it, oldest first. */
  pulls: string[]
  /** Layers that a person has declared dry on it. */
  dry: string[]
  spoiled: { fault: string; reason: string } | null
  curated: { verdict: Verdict; reason: string; seq: number } | null
  mark: { series: Series; number: number } | null
  signed: boolean
  destroyed: { reason: string; replaceable: boolean } | null
  /** Sheets it was cut into; it is then no sheet any more. */
  parts: number[]
  /** The sheet it was cut from. */
  cutFrom: number | null
}

export interface Adjustment {
  id: string
  layerId: string
  kind: AdjustmentKind
  note: string
  /** Number of pulls in the ledger when it happened. */
  afterPull: number
  at: string
  voided: boolean
}

export interface Torn {
  lotId: string
  lotName: string
  lotSheets: number
  count: number
  pricePerLotSheet: number
  /** Size of a piece, mm; 0 when it was not said. */
  width: number
  height: number
}

export interface Block {
  id: string
  block: BlockDescription
  /** As it was cut, oldest first. */
  states: Omit<BlockStateData, 'blockId'>[]
  /** Exposure records of a plate, oldest first; the last is in force. */
  exposures: (ExposureRecord & { at: string })[]
  /** Share of the block that carries ink, 0 to 1, and how it was read. */
  inkedShare: { share: number; reading: ShareReading | null } | null
}

/** Everything an edition's stream says, folded. Treat as frozen: `evolve` returns a new one. */
export interface EditionState {
  stream: string
  seq: number
  title: string
  plan: EditionPlan | null
  /** Plans that were in force before, oldest first, with the reason for each change. */
  earlierPlans: { plan: EditionPlan; reason: string; at: string; by: string; sheetsTorn: number }[]
  /** How its sheets are got out of the paper, once planned. */
  piece: PiecePlan | null
  blocks: Block[]
  register: { register: RegisterPlan; formatId: string | null } | null
  overprint: OverprintPlan | null
  layers: Layer[]
  sheets: Sheet[]
  /** Sheets made, counted from tearing and splitting alone: the sum every place must add up to. */
  made: number
  torn: Torn[]
  pulls: Pull[]
  adjustments: Adjustment[]
  bat: { pullId: string; at: string } | null
  earlierBats: { pullId: string; reason: string }[]
  /** Size of each series once numbers were given. */
  seriesSize: Partial<Record<Series, number>>
  amendments: { size: number; reason: string; at: string; by: string }[]
  startedAt: string
  changedAt: string
  closedAt: string | null
  /** What was said at closing, for instance of the block. */
  closingNote: string
  reopenings: { reason: string; at: string }[]
}

export function emptyEdition(stream: string): EditionState {
  return {
    stream,
    seq: 0,
    title: '',
    plan: null,
    earlierPlans: [],
    piece: null,
    blocks: [],
    register: null,
    overprint: null,
    layers: [],
    sheets: [],
    made: 0,
    torn: [],
    pulls: [],
    adjustments: [],
    bat: null,
    earlierBats: [],
    seriesSize: {},
    amendments: [],
    startedAt: '',
    changedAt: '',
    closedAt: null,
    closingNote: '',
    reopenings: [],
  }
}

export function layerOf(state: EditionState, layerId: string): Layer | undefined {
  return state.layers.find((layer) => layer.id === layerId)
}

export function layerNumber(state: EditionState, layerId: string): number {
  return state.layers.findIndex((layer) => layer.id === layerId) + 1
}

/** The pull with that id; the newest are looked at first, since they are the ones asked for. */
export function pullOf(state: EditionState, pullId: string): Pull | undefined {
  for (let i = state.pulls.length - 1; i >= 0; i--) if (state.pulls[i]!.pullId === pullId) return state.pulls[i]
  return undefined
}

export function sheetOf(state: EditionState, sheetId: number): Sheet | undefined {
  return state.sheets[sheetId - 1]
}

/** A pull that counts: neither voided nor waiting for a dispute to be settled. */
export function isLive(pull: Pull): boolean {
  return !pull.voided && pull.disputed === null
}

const indexes = new WeakMap<readonly Pull[], Map<string, Pull>>()

/** Pulls by id. Built once for each state, so that counting 600 sheets against 3,000 pulls stays quick. */
function pullsById(pulls: readonly Pull[]): Map<string, Pull> {
  let index = indexes.get(pulls)
  if (!index) {
    index = new Map(pulls.map((pull) => [pull.pullId, pull]))
    indexes.set(pulls, index)
  }
  return index
}

/** The pulls that count on a sheet, oldest first. */
export function livePullsOn(state: EditionState, sheet: Sheet): Pull[] {
  const index = pullsById(state.pulls)
  return sheet.pulls.map((id) => index.get(id)).filter((pull): pull is Pull => pull !== undefined)
}

/** The set-up in force for a layer now, if one was recorded. */
export function setupInForce(layer: Layer): PressSetup | null {
  return layer.setups.at(-1)?.setup ?? null
}

export function anySigned(state: EditionState): boolean {
  return state.sheets.some((sheet) => sheet.signed)
}
