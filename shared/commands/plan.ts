import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import type { EditionCommands } from '#core/edition/commands'
import {
  type EditionPlan,
  type Layering,
  layerings,
  lineCustoms,
  methods,
  orderSchools,
  type Rates,
  sizeSchools,
  type LineCustom,
  type Method,
  type OrderSchool,
  type SizeSchool,
} from '#core/plan/plan'
import { type StatedRate, type Work, works } from '#core/plan/work'

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

class Plan implements EditionPlan {
  @IsIn(methods) method!: Method
  @IsIn(works) work!: Work
  @IsBoolean() colouring!: boolean
  @IsIn(layerings) layering!: Layering
  @IsInt() @Min(1) @Max(40) layersPlanned!: number
  @IsOptional() @ValidateNested() @Type(() => Stated) expected!: Stated | null
  @IsOptional() @ValidateNested() @Type(() => Stated) finishing!: Stated | null
  @IsNumber() @Min(0.5) @Max(0.999) confidence!: number
  @IsOptional() @IsInt() @Min(1) @Max(5000) start!: number | null
  @ValidateNested() @Type(() => PlanRates) rates!: PlanRates
  @IsInt() @Min(1) @Max(2000) size!: number
  @IsIn(sizeSchools) sizeSchool!: SizeSchool
  @IsIn(orderSchools) orderSchool!: OrderSchool
  @ValidateNested() @Type(() => ProofsPromised) proofs!: ProofsPromised
  @IsIn(lineCustoms) line!: LineCustom
  @IsOptional() @IsInt() @Min(1400) @Max(2400) year!: number | null
  @IsIn(['roman', 'arabic']) numerals!: 'roman' | 'arabic'
  @IsString() @MaxLength(80) artist!: string
  @IsOptional() @IsISO8601() due!: string | null
}

export class StartEdition implements Record<keyof EditionCommands['start-edition'], unknown> {
  @IsString() @MaxLength(120) title!: string
  @ValidateNested() @Type(() => Plan) plan!: Plan
}

export class ChangePlan extends StartEdition {
  @IsString() @MaxLength(500) reason!: string
}
