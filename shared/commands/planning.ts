import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsInt, IsISO8601, IsNumber, IsOptional, IsString, Length, Max, MaxLength, Min, ValidateNested } from 'class-validator'
import type { EditionCommands } from '#core/edition/commands'
import { lineCustoms, methods, orderSchools, sizeSchools, type EditionPlan, type LineCustom, type Method, type OrderSchool, type SizeSchool } from '#core/plan/plan'
import type { StackOrder } from '#core/edition/events'

class ProofsPromised {
  @IsInt() @Min(0) @Max(500) AP!: number
  @IsInt() @Min(0) @Max(500) PP!: number
  @IsInt() @Min(0) @Max(500) HC!: number
}

class Plan implements EditionPlan {
  @IsIn(methods) method!: Method
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

export class AddLayer {
  @IsString() @MaxLength(80) name!: string
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) @MaxLength(60, { each: true }) blocks!: string[]
}

export class ChangeLayer extends AddLayer {
  @IsString() @Length(1, 64) layerId!: string
  @IsString() @MaxLength(500) routine!: string
  @IsIn(['pulled', 'reversed']) stackOrder!: StackOrder
}

class ZoneChoice {
  @IsString() @Length(1, 64) id!: string
  @IsString() @Length(1, 60) name!: string
  @IsOptional() @IsString() @Length(1, 64) batchId!: string | null
}

export class SetZones {
  @IsString() @Length(1, 64) layerId!: string
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => ZoneChoice) zones!: ZoneChoice[]
}

class PackingPiece {
  @IsString() @Length(1, 60) name!: string
  @IsNumber() @Min(0) @Max(60) thickness!: number
}

class Screw {
  @IsInt() @Min(-60) @Max(60) turns!: number
  @IsNumber() @Min(-400) @Max(400) divisions!: number
}

export class SetPress {
  @IsString() @Length(1, 64) layerId!: string
  @IsString() @Length(1, 64) pressId!: string
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => PackingPiece) packing!: PackingPiece[]
  @ValidateNested() @Type(() => Screw) left!: Screw
  @ValidateNested() @Type(() => Screw) right!: Screw
  @IsString() @MaxLength(500) note!: string
}

export class Tear {
  @IsString() @Length(1, 64) lotId!: string
  @IsInt() @Min(1) @Max(5000) lotSheets!: number
  @IsInt() @Min(1) @Max(5000) count!: number
}
