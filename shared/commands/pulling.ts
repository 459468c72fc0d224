import {
  type Climate,
  type DryingPaper,
  dryingPapers,
  type DryingSaid,
  type Moment,
  momentsInOrder,
} from '#core/drying/moments'
import type { ProofSaid } from '#core/edition/proof-notes'
import { furthestSlip } from '#core/edition/slip'
import { mostImages } from '#core/paper/piece'
import { type Grade, grades } from '#core/press/dial-in'
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator'
import {
  type AdjustmentKind,
  adjustmentKinds,
  type ProofKind,
  proofKinds,
  type PullKind,
  pullKinds,
  type Rescue,
  rescues,
  type Verdict,
  verdicts,
} from '#core/print/verdicts'
import { Nested } from './nested'
import { OrNull } from './or-null'

class Judgement {
  @IsIn(verdicts) verdict!: Verdict
  @IsArray() @ArrayMaxSize(10) @IsString({ each: true }) @MaxLength(20, { each: true }) faults!: string[]
  @OrNull() @IsIn(rescues) rescued!: Rescue | null
}

export class PullTap extends Judgement {
  @IsString() @Length(1, 64) layerId!: string
  @IsIn(pullKinds) kind!: PullKind
  @OrNull() @IsIn(proofKinds) proofKind!: ProofKind | null
  @IsArray()
  @ArrayMaxSize(mostImages)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(20_000, { each: true })
  sheetIds!: number[]
  @IsBoolean() wetOnWet!: boolean
  @IsInt() @Min(0) @Max(1_000_000_000) setupSeq!: number
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) @MaxLength(64, { each: true }) batchIds!: string[]
}

export class PlaceFault {
  @IsString() @Length(1, 64) pullId!: string
  @IsString() @Length(1, 40) fault!: string
  @IsNumber() @Min(-1000) @Max(6000) x!: number
  @IsNumber() @Min(-1000) @Max(6000) y!: number
}

export class TryRemedy {
  @IsString() @Length(1, 64) layerId!: string
  @IsString() @Length(1, 40) fault!: string
  @IsString() @MaxLength(120) remedy!: string
}

export class JudgeProof implements ProofSaid {
  @IsString() @Length(1, 64) pullId!: string
  @OrNull() @IsIn(grades) pressure!: Grade | null
  @OrNull() @IsIn(grades) ink!: Grade | null
  @IsInt() @Min(1) @Max(60) charges!: number
  @IsInt() @Min(1) @Max(60) passes!: number
  @IsBoolean() newsprint!: boolean
  @OrNull() @IsString() @Length(1, 100) pictureId!: string | null
  @IsString() @MaxLength(500) note!: string
}

export class JudgePull extends Judgement {
  @IsString() @Length(1, 64) pullId!: string
  @IsString() @MaxLength(500) reason!: string
}

export class JudgeSheet {
  @IsString() @Length(1, 64) pullId!: string
  @IsInt() @Min(1) @Max(20_000) sheetId!: number
  @IsIn(verdicts) verdict!: Verdict
  @IsArray() @ArrayMaxSize(10) @IsString({ each: true }) @MaxLength(20, { each: true }) faults!: string[]
}

export class GradePull {
  @IsString() @Length(1, 64) pullId!: string
  @OrNull() @IsIn(grades) grade!: Grade | null
}

export class NamePull {
  @IsString() @Length(1, 64) pullId!: string
}

export class NamePullWithReason extends NamePull {
  @IsString() @MaxLength(500) reason!: string
}

export class MendSlip extends NamePullWithReason {
  @IsInt() @Min(-furthestSlip) @Max(furthestSlip) by!: number
}

export class CorrectInk extends NamePullWithReason {
  @IsString() @Length(1, 64) from!: string
  @IsString() @Length(1, 64) to!: string
}

export class ApproveProof extends NamePullWithReason {
  @IsString() @Length(1, 64) layerId!: string
}

export class SettleDispute extends NamePullWithReason {
  @IsIn(['void', 'move']) outcome!: 'void' | 'move'
  @OrNull() @IsInt() @Min(1) @Max(20_000) sheetId!: number | null
}

export class Adjust {
  @IsString() @Length(1, 64) layerId!: string
  @IsIn(adjustmentKinds) kind!: AdjustmentKind
  @IsString() @MaxLength(200) note!: string
}

export class VoidAdjustment {
  @IsString() @Length(1, 64) adjustmentId!: string
}

export class NameLayer {
  @IsString() @Length(1, 64) layerId!: string
}

class DryingTold implements DryingSaid {
  @IsIn(dryingPapers) paper!: DryingPaper
  @IsBoolean() stillAir!: boolean
  @IsBoolean() drier!: boolean
}

export class SetDrying extends NameLayer {
  @Nested(() => DryingTold) drying!: DryingTold
}

export class TouchTest extends NameLayer {
  @IsIn(momentsInOrder) moment!: Moment
  @IsBoolean() isDry!: boolean
  @IsArray() @ArrayMaxSize(40) @IsString({ each: true }) @Length(1, 64, { each: true }) batchIds!: string[]
  @IsBoolean() isDamp!: boolean
}

export class ReadClimate implements Climate {
  @IsNumber() @Min(-20) @Max(50) temperature!: number
  @IsNumber() @Min(0) @Max(100) humidity!: number
}

export class LockUp extends NameLayer {
  @IsInt() @Min(1) @Max(mostImages) images!: number
}

export class NameSheets {
  @IsArray()
  @ArrayMaxSize(5000)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(20_000, { each: true })
  sheetIds!: number[]
}

export class SetWithoutPull extends NameLayer {
  @IsBoolean() withoutPull!: boolean
}

export class LayLayer extends NameSheets {
  @IsString() @Length(1, 64) layerId!: string
}

export class LiftLayer extends LayLayer {
  @IsString() @MaxLength(500) reason!: string
}

export class SharePiece extends NameSheets {
  @IsInt() @Min(2) @Max(mostImages) images!: number
}

export class TakeBackCut extends NameLayer {
  @IsString() @MaxLength(500) reason!: string
}

export class DeclareDry extends NameLayer {
  @IsArray()
  @ArrayMaxSize(5000)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(20_000, { each: true })
  sheetIds!: number[]
}
