import type { EditionState } from '#core/edition/state'
import type { StudioState } from '#core/stores/studio'
import type { Role } from '#core/ledger/envelope'
import type { InkFamily } from '#core/stores/batch'
import type { PressKind } from '#core/stores/press'

/** The ledger's answer to a command that was stored. */
export interface StoredReply {
  /** Position of its last event. */
  position: number
  stream: string
  /** The stream's `seq` after it. */
  seq: number
  /** Why a pull was stored as disputed, or null. */
  disputed: string | null
}

/** A stored pull is answered with the sheet handed to this station next. */
export interface CommandReply extends StoredReply {
  handOut?: HandOut
}

/** Sheets provisionally kept for a station, and those kept for others. */
export interface HandOut {
  sheetId: number | null
  heldByOthers: number[]
}

export interface ErrorReply {
  code: string
  message: string
  field?: string
}

export interface PersonReply {
  id: string
  name: string
  role: Role
  active: boolean
}

export interface SessionReply {
  person: PersonReply | null
  demo: boolean
  /** True until the studio and its first manager exist. */
  needsSetup: boolean
  studio: Pick<StudioState, 'name' | 'line' | 'destroyedNumber' | 'currency'>
}

export interface EditionSummary {
  id: string
  title: string
  artist: string
  method: string
  state: string
  goal: number
  size: number
  made: number
  /** Sheets that may still become a print, the doubtful among them. */
  alive: number
  good: number
  /** Good after the layer at the press. */
  goodHere: number
  doubtful: number
  rejects: number
  signed: number
  numbered: number
  impressions: number
  balances: boolean
  disputed: number
  layers: number
  layerName: string
  pressName: string
  /** Sheets waiting for the layer at the press. */
  left: number
  /** Sheets that lack any layer. */
  unfinished: number
  chance: number
  minutesLeft: number | null
  due: string | null
  /** The newest pulls, for a small tally: kind, verdict and whether it is the BAT. */
  strokes: StrokeSummary[]
  lastPullAt: string | null
  lastPullBy: string | null
  changedAt: string
}

export interface StrokeSummary { kind: string, verdict: string, bat: boolean, voided: boolean }

export interface EditionsReply {
  editions: EditionSummary[]
  /** Pass as `after` for the next page; null on the last. */
  next: string | null
  total: number
}

export interface EditionReply {
  state: EditionState
  studio: StudioState
  /** Position of the ledger the state stands for. */
  position: number
}

export interface LotSummary { id: string, name: string, maker: string, width: number, height: number, weight: number, price: number, left: number, bought: number, seq: number }
export interface BatchSummary { id: string, name: string, family: InkFamily, colour: string, components: { name: string, milligrams: number }[], left: number, mixed: number, seq: number }
export interface PressSummary { id: string, name: string, kind: PressKind, divisions: number }

export interface StoresReply {
  lots: LotSummary[]
  batches: BatchSummary[]
  presses: PressSummary[]
}

export interface FloorReply {
  running: EditionSummary[]
  decisions: { editionId: string, title: string, what: string, why: string, stop: string }[]
  counts: { state: string, editions: number }[]
}
