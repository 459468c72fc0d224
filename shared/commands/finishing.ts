import 'reflect-metadata'
import { Type } from 'class-transformer'
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
  ValidateNested,
} from 'class-validator'
import {
  type Chop,
  type FinishingPlan,
  type HandColour,
  mostColours,
  mostInBatch,
  type WashTrial,
  washTrials,
} from '#core/finish/plan'
import { mostBlocks } from '#core/edition/block'
import { type BlockEnd, blockEnds } from '#core/print/block-end'
import { type PassMark, passMarks } from '#core/print/pass-mark'
import { allBounds, allSeries, type Bound, type Series } from '#core/print/series'
import { type Verdict, verdicts } from '#core/print/verdicts'
import { type Gone, type Leaving, leavings } from '#core/print/whereabouts'
import { Nested } from './nested'
import { OrNull } from './or-null'
import { NameSheets } from './pulling'
import { IsDay } from './moments'

export class NameSheet {
  @IsInt() @Min(1) @Max(20_000) sheetId!: number
}

export class NameSheetWithReason extends NameSheet {
  @IsString() @MaxLength(500) reason!: string
}

export class SpoilSheet extends NameSheetWithReason {
  @IsString() @MaxLength(20) fault!: string
}

export class Curate extends NameSheetWithReason {
  @IsIn(verdicts) verdict!: Verdict
}

export class CurateRun extends NameSheets {
  @IsIn(verdicts) verdict!: Verdict
  @IsString() @MaxLength(500) reason!: string
}

export class ViewPrints extends NameSheets {
  @IsIn(verdicts) verdict!: Verdict
  @IsString() @MaxLength(500) note!: string
}

export class SetAside extends NameSheets {
  @IsIn(allBounds) bound!: Bound
}

export class SetPassMark {
  @IsIn(passMarks) passMark!: PassMark
}

export class SendPrint extends NameSheet implements Gone {
  @IsIn(leavings) how!: Leaving
  @IsString() @MaxLength(120) to!: string
  @IsDay() on!: string
  @IsString() @MaxLength(500) note!: string
}

export class WriteInitials {
  @IsBoolean() isOn!: boolean
}

export class SwapNumbers extends NameSheetWithReason {
  @IsInt() @Min(1) @Max(20_000) otherId!: number
}

export class NotePencil extends NameSheet {
  @IsString() @MaxLength(500) note!: string
}

class Assignment extends NameSheet {
  @IsInt() @Min(0) @Max(5000) number!: number
}

export class GiveNumbers {
  @IsIn(allSeries) series!: Series
  @IsInt() @Min(1) @Max(2000) size!: number
  @IsArray() @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => Assignment) assignments!: Assignment[]
}

export class WithdrawNumbers {
  @IsIn(allSeries) series!: Series
  @IsString() @MaxLength(500) reason!: string
}

class Proofs {
  @IsInt() @Min(0) @Max(500) AP!: number
  @IsInt() @Min(0) @Max(500) PP!: number
  @IsInt() @Min(0) @Max(500) HC!: number
}

export class AmendSize {
  @IsInt() @Min(1) @Max(2000) size!: number
  @Nested(() => Proofs) proofs!: Proofs
  @IsString() @MaxLength(500) reason!: string
}

export class CloseEdition {
  @IsString() @MaxLength(2000) note!: string
  @IsIn(blockEnds) block!: BlockEnd
  /** All the blocks of the edition, so that nobody closes over one they did not see. */
  @IsArray() @ArrayMaxSize(mostBlocks) @IsString({ each: true }) @Length(1, 64, { each: true }) blockIds!: string[]
}

export class Reason {
  @IsString() @MaxLength(500) reason!: string
}

class HandColourNamed implements HandColour {
  @IsString() @Length(1, 64) id!: string
  @IsString() @MaxLength(60) name!: string
}

class ChopPlaced implements Chop {
  @IsIn(['blind', 'inked']) kind!: Chop['kind']
  @IsNumber() @Min(0) @Max(5000) left!: number
  @IsNumber() @Min(0) @Max(5000) top!: number
  @IsNumber() @Min(0) @Max(500) width!: number
  @IsNumber() @Min(0) @Max(500) height!: number
}

class FinishingGiven implements FinishingPlan {
  @IsArray()
  @ArrayMaxSize(mostColours)
  @ValidateNested({ each: true })
  @Type(() => HandColourNamed)
  colours!: HandColourNamed[]
  @IsInt() @Min(1) @Max(mostInBatch) batch!: number
  @IsIn(washTrials) wash!: WashTrial
  @IsBoolean() flatten!: boolean
  @IsBoolean() trim!: boolean
  @OrNull() @Nested(() => ChopPlaced) chop!: ChopPlaced | null
}

export class PlanFinishing {
  @Nested(() => FinishingGiven) finishing!: FinishingGiven
}

export class FinishSheets {
  @IsString() @Length(1, 80) step!: string
  @IsArray()
  @ArrayMaxSize(5000)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(20_000, { each: true })
  sheetIds!: number[]
  @IsBoolean() isDone!: boolean
}
