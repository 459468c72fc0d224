import type { ProofKind, PullKind, Rescue, Verdict } from '../print/verdicts'

/** What a printer says of one meeting of sheet and block. */
export interface PullSaid {
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

export interface PullData extends PullSaid {
  pullId: string
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

interface Pulled {
  pulls: readonly Pull[]
}

/** The pull with that id; the newest are looked at first, since they are the ones asked for. */
export function pullOf(state: Pulled, pullId: string): Pull | undefined {
  for (let i = state.pulls.length - 1; i >= 0; i--) if (state.pulls[i]!.pullId === pullId) return state.pulls[i]
  return undefined
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
export function livePullsOn(state: Pulled, sheet: { pulls: readonly string[] }): Pull[] {
  const index = pullsById(state.pulls)
  return sheet.pulls.map((id) => index.get(id)).filter((pull): pull is Pull => pull !== undefined)
}
