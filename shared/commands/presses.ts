import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
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
import { type DrawerPiece, type PieceKind, pieceKinds } from '#core/press/drawer'
import { type PressKind, pressKinds } from '#core/press/kinds'
import { type PressDescription, type PressUsers, pressUsers } from '#core/stores/press/state'
import { Nested } from './nested'
import { OrNull } from './or-null'
import { IsDay } from './moments'

class PackingLaid {
  @IsString() @Length(1, 60) name!: string
  @IsNumber() @Min(0) @Max(60) thickness!: number
  @OrNull() @IsString() @Length(1, 64) pieceId!: string | null
  @IsInt() @Min(1) @Max(60) count!: number
}

class BlockLaid {
  @IsString() @Length(1, 80) name!: string
  @IsNumber() @Min(0.1) @Max(200) thickness!: number
}

class Screw {
  @IsInt() @Min(-60) @Max(60) turns!: number
  @IsNumber() @Min(-400) @Max(400) divisions!: number
}

export class SetPress {
  @IsString() @Length(1, 64) layerId!: string
  @IsString() @Length(1, 64) pressId!: string
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => PackingLaid) packing!: PackingLaid[]
  @OrNull() @Nested(() => BlockLaid) block!: BlockLaid | null
  @OrNull() @IsNumber() @Min(0) @Max(10) sheet!: number | null
  @OrNull() @IsNumber() @Min(-5) @Max(20) nip!: number | null
  @Nested(() => Screw) left!: Screw
  @Nested(() => Screw) right!: Screw
  @IsString() @MaxLength(500) note!: string
}

class Measure {
  @IsNumber() @Min(10) @Max(5000) width!: number
  @IsNumber() @Min(10) @Max(5000) height!: number
}

export class DescribePress implements PressDescription {
  @IsString() @MaxLength(80) name!: string
  @IsIn(pressKinds) kind!: PressKind
  @IsInt() @Min(0) @Max(400) divisions!: number
  @OrNull() @IsNumber() @Min(0.05) @Max(50) pitch!: number | null
  @OrNull() @IsNumber() @Min(0.1) @Max(60) travel!: number | null
  @OrNull() @IsNumber() @Min(10) @Max(5000) span!: number | null
  @IsNumber() @Min(0) @Max(400) backlash!: number
  @OrNull() @IsNumber() @Min(0.1) @Max(200) height!: number | null
  @OrNull() @Nested(() => Measure) bed!: Measure | null
  @IsString() @MaxLength(200) tools!: string
  @IsString() @MaxLength(500) condition!: string
  @IsIn(pressUsers) users!: PressUsers
  @OrNull() @IsString() @Length(1, 100) pictureId!: string | null
}

class OnTheBed {
  @IsString() @Length(1, 60) name!: string
  @IsNumber() @Min(0) @Max(200) thickness!: number
}

export class FindZero {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(10)
  @ValidateNested({ each: true })
  @Type(() => OnTheBed)
  on!: OnTheBed[]
  @IsNumber() @Min(0) @Max(400) left!: number
  @IsNumber() @Min(0) @Max(400) right!: number
  @IsString() @MaxLength(500) note!: string
}

export class RatePress {
  @IsDay() from!: string
  @IsNumber() @Min(0) @Max(100_000) hour!: number
}

export class TakeDown {
  @IsString() @MaxLength(500) note!: string
}

export class SetPacking implements DrawerPiece {
  @IsString() @Length(1, 64) id!: string
  @IsString() @MaxLength(60) name!: string
  @IsIn(pieceKinds) kind!: PieceKind
  @IsNumber() @Min(0) @Max(60) thickness!: number
  @OrNull() @IsNumber() @Min(0) @Max(60) squeezed!: number | null
  @IsInt() @Min(0) @Max(1000) count!: number
  @OrNull() @IsNumber() @Min(1) @Max(5000) length!: number | null
}

export class RetirePacking {
  @IsString() @Length(1, 64) id!: string
}
