import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsString, Max, MaxLength, Min, ValidateNested } from 'class-validator'
import { allSeries, type Series } from '#core/print/series'
import { type Verdict, verdicts } from '#core/print/verdicts'
import { Nested } from './nested'

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
}

export class Reason {
  @IsString() @MaxLength(500) reason!: string
}
