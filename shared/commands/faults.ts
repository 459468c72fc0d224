import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, IsIn, IsString, Length, MaxLength, ValidateNested } from 'class-validator'
import { type Seat, seats } from '#core/print/causes'
import type { FaultLine } from '#core/print/fault-table'
import { type Fault, outcomes } from '#core/print/faults'

class CauseSaid {
  @IsString() @MaxLength(120) words!: string
  @IsIn(seats) seat!: Seat
  @IsArray() @ArrayMaxSize(12) @IsString({ each: true }) @MaxLength(120, { each: true }) remedies!: string[]
}

export class SetFaultLine implements FaultLine {
  @IsString() @Length(1, 40) fault!: string
  @IsIn(outcomes) outcome!: Fault['outcome']
  @IsArray() @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => CauseSaid) causes!: CauseSaid[]
}
