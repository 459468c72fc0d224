import type { BlockDescription } from '../block/block'
import type { ExposureRecord } from '../block/exposure'
import type { OverprintPlan, ShareReading } from '../ink/roll-up'
import type { PiecePlan } from '../paper/piece'
import type { EditionPlan } from '../plan/plan'
import type { Series } from '../print/series'
import type { AdjustmentKind } from '../print/verdicts'
import type { RegisterPlan } from '../register/registration'
import type { Layer } from './layer'
import type { Pull } from './pull'
import type { Sheet, Torn } from './sheet'

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

/** A block as cut at one moment. */
export interface BlockState {
  stateId: string
  name: string
  /** Day it was cut, ISO date. */
  cutOn: string
  note: string
  /** A picture or a rubbing of it, by the hash of its file, or null. */
  pictureId: string | null
}

export interface Block {
  id: string
  block: BlockDescription
  /** As it was cut, oldest first. */
  states: BlockState[]
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
