import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsString, Max, MaxLength, Min } from 'class-validator'
import { Id, Ids, OrNull, SheetId, SheetIds } from '../ground/shape'
import { mostImages } from '../paper/piece'
import type { Doer, When } from '../ground/envelope'
import type { Grade } from '../press/dial-in'
import { type Sheet, sheetOf } from './sheet'
import {
  type ProofKind,
  proofKinds,
  type PullKind,
  pullKinds,
  type Rescue,
  rescues,
  type Verdict,
  verdicts,
} from '../print/verdicts'

/** What a printer says of one meeting of sheet and block. */
export class PullSaid {
  static readonly sample: PullSaid = {
    layerId: 'l',
    kind: 'pull',
    proofKind: null,
    verdict: 'good',
    sheetIds: [1],
    faults: ['salt'],
    rescued: null,
    wetOnWet: false,
    setupSeq: 0,
    batchIds: ['b'],
  }

  @Id('layer') layerId!: string
  @IsIn(pullKinds) kind!: PullKind
  @OrNull() @IsIn(proofKinds) proofKind!: ProofKind | null
  @IsIn(verdicts) verdict!: Verdict
  /** The edition's sheets under the press: none for newsprint, one as a rule. */
  @SheetIds(mostImages) sheetIds!: number[]
  @IsArray() @ArrayMaxSize(10) @IsString({ each: true }) @MaxLength(20, { each: true }) faults!: string[]
  @OrNull() @IsIn(rescues) rescued!: Rescue | null
  @IsBoolean() wetOnWet!: boolean
  /** `seq` of the press-set event in force at the press, 0 when none was recorded. */
  @IsInt() @Min(0) @Max(1_000_000_000) setupSeq!: number
  /** Batches in force, one for each inked zone that has one. */
  @Ids('batch', 20) batchIds!: string[]
}

export interface PullData extends PullSaid {
  pullId: string
}

/** Why a pull cannot be counted as it came. */
export interface Objection {
  rule: string
  message: string
  /** Whose pull it is said to be, where nothing proves it. */
  claimedBy?: string
}

/** How one of several sheets came out of the same pull. */
export class SheetSaid {
  @SheetId() sheetId!: number
  @IsIn(verdicts) verdict!: Verdict
  @IsArray() @ArrayMaxSize(10) @IsString({ each: true }) @MaxLength(20, { each: true }) faults!: string[]
}

export interface Pull extends PullData, Doer, When {
  /** Place among the edition's pulls, from 1, as the ledger received them. */
  ordinal: number
  seq: number
  voided: boolean
  /** What was said of single sheets of it, where they do not all stand alike. */
  apart: SheetSaid[]
  /** Ink held against the standard, −2 far too little to +2 far too much; null while nobody graded it. */
  grade: Grade | null
  /** Why a late pull could not be counted, until a person settles it. */
  disputed: (Objection & { settled: boolean }) | null
  /** What the tablet's clock said, where that could not be. */
  claimedAt?: string
}

interface Pulled {
  pulls: readonly Pull[]
}

/**
 * Where a pull was found before, by its id. Only a hint: it is believed when the pull there has that id, so that states
 * of any number of editions share it and none can be wrong by it.
 */
const hints = new Map<string, number>()
const mostHints = 400_000

function hint(pullId: string, at: number): void {
  if (hints.size >= mostHints) hints.clear()
  hints.set(pullId, at)
}

/** Make many pulls quick to find. */
export function rememberPulls(pulls: readonly Pull[]): void {
  for (let i = 0; i < pulls.length; i++) hint(pulls[i]!.pullId, i)
}

/** The pull with that id; the newest are looked at first, since they are the ones asked for. */
export function pullOf({ pulls }: Pulled, pullId: string): Pull | undefined {
  const at = hints.get(pullId)
  if (at !== undefined && pulls[at]?.pullId === pullId) return pulls[at]
  for (let i = pulls.length - 1; i >= 0; i--) {
    if (pulls[i]!.pullId !== pullId) continue
    hint(pullId, i)
    return pulls[i]
  }
  return undefined
}

/** The newest pulls that fit, oldest of them first. */
export function newestPulls({ pulls }: Pulled, count: number, fits: (pull: Pull) => boolean): Pull[] {
  const found: Pull[] = []
  for (let i = pulls.length - 1; i >= 0 && found.length < count; i--) if (fits(pulls[i]!)) found.push(pulls[i]!)
  return found.reverse()
}

/** A pull that counts: neither voided nor waiting for a dispute to be settled. */
export function isLive(pull: Pull): boolean {
  return !pull.voided && pull.disputed === null
}

/** True once anything of a layer was pulled that counts, proofs too. */
export const isBegun = (state: Pulled, layerId: string): boolean =>
  state.pulls.some((pull) => pull.layerId === layerId && isLive(pull))

/** How a pull came out on one sheet: as it was said of it, or of the one it was cut from, else as of the whole pull. */
export function resultOn(
  state: { sheets: readonly Sheet[] },
  pull: Pull,
  sheet: Sheet,
): Pick<SheetSaid, 'verdict' | 'faults'> {
  if (pull.apart.length === 0) return pull
  for (let at: Sheet | undefined = sheet; at; at = at.cutFrom === null ? undefined : sheetOf(state, at.cutFrom)) {
    const { id } = at
    const said = pull.apart.find(({ sheetId }) => sheetId === id)
    if (said) return said
  }
  return pull
}

/** The pulls that count on a sheet, oldest first. */
export function countedPullsOn(state: Pulled, sheet: { pulls: readonly string[] }): Pull[] {
  return sheet.pulls.flatMap((id) => pullOf(state, id) ?? [])
}
