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
import { type CareKey, careKeys } from '#core/care/cards'
import { type FindingKey, findingKeys, type StationKind, stationKinds } from '#core/care/findings'
import { type InkFamily, inkFamilies } from '#core/ink/family'
import { type TaskKind, taskKinds } from '#core/station/state'
import { OrNull } from './or-null'

export class SetStation {
  @IsString() @MaxLength(80) name!: string
  @IsIn(stationKinds) kind!: StationKind
  @IsBoolean() isUsed!: boolean
}

class Looked {
  @IsIn(findingKeys) key!: FindingKey
  @IsBoolean() isRight!: boolean
}

export class OpenSession {
  @IsArray()
  @ArrayMaxSize(findingKeys.length)
  @ValidateNested({ each: true })
  @Type(() => Looked)
  items!: Looked[]
  @IsString() @MaxLength(1000) note!: string
  @OrNull() @IsString() @Length(1, 100) pictureId!: string | null
  @IsBoolean() over!: boolean
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) @Length(1, 64, { each: true }) editionIds!: string[]
}

class WashedOff {
  @IsIn(inkFamilies) family!: InkFamily
  @IsString() @MaxLength(80) name!: string
  @OrNull() @IsInt() @Min(0) @Max(86_400) seconds!: number | null
}

class ProblemSaid {
  @IsIn(taskKinds) kind!: TaskKind
  @IsString() @MaxLength(500) what!: string
  @OrNull() @IsString() @Length(1, 100) pictureId!: string | null
}

export class RaiseTask extends ProblemSaid {}

export class CloseSession {
  @IsString() @Length(1, 64) sessionId!: string
  @IsArray()
  @ArrayMaxSize(findingKeys.length)
  @ValidateNested({ each: true })
  @Type(() => Looked)
  items!: Looked[]
  @IsArray()
  @ArrayMaxSize(inkFamilies.length)
  @ValidateNested({ each: true })
  @Type(() => WashedOff)
  washed!: WashedOff[]
  @IsString() @MaxLength(2000) stock!: string
  @IsString() @MaxLength(1000) note!: string
  @OrNull() @IsString() @Length(1, 100) pictureId!: string | null
  @IsArray() @ArrayMaxSize(10) @ValidateNested({ each: true }) @Type(() => ProblemSaid) problems!: ProblemSaid[]
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) @Length(1, 64, { each: true }) editionIds!: string[]
}

export class OwnTask {
  @IsString() @Length(1, 100) taskId!: string
  @OrNull() @IsString() @Length(1, 64) ownerId!: string | null
}

export class SolveTask {
  @IsString() @Length(1, 100) taskId!: string
  @IsString() @MaxLength(500) note!: string
}

export class SetCleaner {
  @IsIn(inkFamilies) family!: InkFamily
  @IsString() @MaxLength(80) name!: string
  @OrNull() @IsNumber() @Min(0) @Max(600) minutes!: number | null
  @IsBoolean() isSolvent!: boolean
}

export class SetCareRule {
  @IsIn(careKeys) key!: CareKey
  @IsString() @MaxLength(1000) rule!: string
}
