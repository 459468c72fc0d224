import 'reflect-metadata'
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
import { type EditionPlan, type Layering, layerings, methods, type Rates, type Method } from '#core/plan/plan'
import { mostBlocks } from '#core/edition/block'
import { lineCustoms, type LineCustom } from '#core/print/pencil-line'
import { orderSchools, sizeSchools, type OrderSchool, type SizeSchool } from '#core/print/series'
import { type StatedRate, type Work, works } from '#core/plan/work'
import { OrNull } from './or-null'
import { Nested } from './nested'
import { IsDay } from './moments'

class ProofsPromised {
  @IsInt() @Min(0) @Max(500) AP!: number
  @IsInt() @Min(0) @Max(500) PP!: number
  @IsInt() @Min(0) @Max(500) HC!: number
}

class Stated implements StatedRate {
  @IsNumber() @Min(0) @Max(1) rate!: number
  @IsNumber() @Min(1) @Max(5000) pulls!: number
}

class PlanRates implements Rates {
  @IsNumber() @Min(0) @Max(10_000) inkGram!: number
  @IsNumber() @Min(0) @Max(10_000) pressHour!: number
  @IsNumber() @Min(0) @Max(10_000) labourHour!: number
  @IsNumber() @Min(0) @Max(600) minutesPerPull!: number
}

export class Plan implements EditionPlan {
  @IsIn(methods) method!: Method
  @IsIn(works) work!: Work
  @IsBoolean() colouring!: boolean
  @IsIn(layerings) layering!: Layering
  @IsInt() @Min(1) @Max(40) layersPlanned!: number
  @OrNull() @Nested(() => Stated) expected!: Stated | null
  @OrNull() @Nested(() => Stated) finishing!: Stated | null
  @IsNumber() @Min(0.5) @Max(0.999) confidence!: number
  @OrNull() @IsInt() @Min(1) @Max(5000) start!: number | null
  @Nested(() => PlanRates) rates!: PlanRates
  @IsInt() @Min(1) @Max(2000) size!: number
  @IsIn(sizeSchools) sizeSchool!: SizeSchool
  @IsIn(orderSchools) orderSchool!: OrderSchool
  @Nested(() => ProofsPromised) proofs!: ProofsPromised
  @IsIn(lineCustoms) line!: LineCustom
  @OrNull() @IsInt() @Min(1400) @Max(2400) year!: number | null
  @IsIn(['roman', 'arabic']) numerals!: 'roman' | 'arabic'
  @IsString() @MaxLength(80) artist!: string
  @OrNull() @IsDay() due!: string | null
}

export class StartEdition {
  @IsString() @MaxLength(120) title!: string
  @Nested(() => Plan) plan!: Plan
}

/** A new edition from the blocks of one that is closed. */
export class PrintAgain extends StartEdition {
  @IsString() @Length(1, 64) earlierId!: string
  @IsArray() @ArrayMaxSize(mostBlocks) @IsString({ each: true }) @Length(1, 64, { each: true }) blockIds!: string[]
}

export class NamePrinters {
  @OrNull() @IsString() @Length(1, 64) artistId!: string | null
  @IsArray() @ArrayMaxSize(100) @IsString({ each: true }) @Length(1, 64, { each: true }) printerIds!: string[]
}

export class ChangePlan extends StartEdition {
  @IsString() @MaxLength(500) reason!: string
}
