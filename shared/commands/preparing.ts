import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import { type BlockDescription, type BlockKind, blockKinds, type Transfer, transfers } from '#core/block/block'
import type { ExposureRecord } from '#core/block/exposure'
import { type ImagesOnPiece, mostImages, type PiecePlan } from '#core/paper/piece'
import type { Grain } from '#core/paper/tear-request'
import { type Growth, type Measured, mostBlankPasses, type Settling } from '#core/register/growth'
import { mostOutlines, type NamedOutline } from '#core/register/outlines'
import { type Meeting, meetings, type RegisterPlan } from '#core/register/registration'
import { OrNull } from './or-null'
import { Nested } from './nested'
import { IsDay } from './moments'

/** Longest length anyone measures at a press, mm. */
const longest = 5000

class Size {
  @IsNumber() @Min(0) @Max(longest) width!: number
  @IsNumber() @Min(0) @Max(longest) height!: number
}

/** An image may come out below zero when margins leave none; the rule then says so. */
class SignedSize {
  @IsNumber() @Min(-longest) @Max(longest) width!: number
  @IsNumber() @Min(-longest) @Max(longest) height!: number
}

class Box extends Size {
  @IsNumber() @Min(-longest) @Max(longest) left!: number
  @IsNumber() @Min(-longest) @Max(longest) top!: number
}

export class EdgesMarked {
  @IsBoolean() left!: boolean
  @IsBoolean() right!: boolean
  @IsBoolean() top!: boolean
  @IsBoolean() bottom!: boolean
}

export const grains: readonly Grain[] = ['width', 'height', 'unknown']

class SheetMeasured extends Size {
  @Nested(() => EdgesMarked) deckles!: EdgesMarked
  @IsNumber() @Min(0) @Max(200) allowance!: number
  @IsIn(grains) grain!: Grain
}

class MarginsGiven {
  @IsNumber() @Min(0) @Max(longest) top!: number
  @IsNumber() @Min(0) @Max(longest) right!: number
  @IsNumber() @Min(0) @Max(longest) bottom!: number
  @IsNumber() @Min(0) @Max(longest) left!: number
}

class ImagesGiven implements ImagesOnPiece {
  @IsInt() @Min(1) @Max(mostImages) across!: number
  @IsInt() @Min(1) @Max(mostImages) down!: number
  @IsNumber() @Min(0) @Max(500) gap!: number
}

class Piece implements PiecePlan {
  @OrNull() @IsString() @Length(1, 64) lotId!: string | null
  @Nested(() => SheetMeasured) sheet!: SheetMeasured
  @Nested(() => SignedSize) image!: SignedSize
  @Nested(() => ImagesGiven) images!: ImagesGiven
  @Nested(() => MarginsGiven) margins!: MarginsGiven
  @OrNull() @IsNumber() @Min(0.5) @Max(3) foot!: number | null
  @IsNumber() @Min(0) @Max(200) trim!: number
  @IsIn(['width', 'height', 'free']) grain!: PiecePlan['grain']
  @Nested(() => EdgesMarked) deckles!: EdgesMarked
  @IsNumber() @Min(0) @Max(200) strip!: number
}

export class PlanPiece {
  @Nested(() => Piece) piece!: Piece
}

class OffcutsKept extends Size {
  @IsString() @Length(1, 64) lotId!: string
  @IsInt() @Min(1) @Max(5000) count!: number
}

export class Tear {
  @IsString() @Length(1, 64) lotId!: string
  @IsInt() @Min(1) @Max(5000) lotSheets!: number
  @IsInt() @Min(0) @Max(5000) count!: number
  @IsInt() @Min(1) @Max(mostImages) images!: number
  @IsInt() @Min(0) @Max(500) wrong!: number
  @IsString() @MaxLength(500) reason!: string
  @IsNumber() @Min(0) @Max(longest) width!: number
  @IsNumber() @Min(0) @Max(longest) height!: number
  @OrNull() @IsString() @Length(1, 64) rationId!: string | null
  @IsArray() @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => OffcutsKept) offcuts!: OffcutsKept[]
}

class Block implements BlockDescription {
  @IsString() @MaxLength(60) name!: string
  @IsIn(blockKinds) kind!: BlockKind
  @IsNumber() @Min(0) @Max(longest) width!: number
  @IsNumber() @Min(0) @Max(longest) height!: number
  @IsNumber() @Min(0) @Max(200) thickness!: number
  @Nested(() => Box) image!: Box
  @IsNumber() @Min(-45) @Max(45) rotation!: number
  @IsString() @MaxLength(300) removed!: string
  @IsIn(transfers) transfer!: Transfer
  @IsString() @MaxLength(500) note!: string
}

export class PrepareBlock {
  @IsString() @Length(1, 64) blockId!: string
  @Nested(() => Block) block!: Block
}

export class ChangeBlock extends PrepareBlock {}

export class UseBlock {
  @IsString() @Length(1, 64) blockId!: string
  @IsArray() @ArrayMaxSize(400) @IsString({ each: true }) @Length(1, 64, { each: true }) editionIds!: string[]
}

export class KeepBlock {
  @IsString() @Length(1, 120) where!: string
}

export class RecordBlockState {
  @IsString() @Length(1, 64) blockId!: string
  @IsString() @MaxLength(120) name!: string
  @IsDay() cutOn!: string
  @IsString() @MaxLength(1000) note!: string
  @OrNull() @Matches(/^[0-9a-f]{64}$/, { message: 'pictureId must be a picture handed in before' }) pictureId!:
    string | null
}

class Exposure implements ExposureRecord {
  @IsArray()
  @ArrayMinSize(0)
  @ArrayMaxSize(20)
  @IsNumber({}, { each: true })
  @Min(0, { each: true })
  @Max(36_000, { each: true })
  steps!: number[]
  @OrNull() @IsInt() @Min(0) @Max(19) firstHolding!: number | null
  @IsNumber() @Min(0) @Max(36_000) exposure!: number
  @IsNumber() @Min(0) @Max(36_000) washOut!: number
  @IsNumber() @Min(0) @Max(36_000) hardening!: number
  @IsString() @MaxLength(500) note!: string
}

export class FindExposure {
  @IsString() @Length(1, 64) blockId!: string
  @Nested(() => Exposure) exposure!: Exposure
}

class SeriesLines {
  @IsNumber() @Min(0) @Max(longest) topLine!: number
  @IsNumber() @Min(0) @Max(longest) footLine!: number
}

class PinPlaced {
  @IsNumber() @Min(-500) @Max(longest) x!: number
  @IsNumber() @Min(-500) @Max(longest) y!: number
  @IsNumber() @Min(0.5) @Max(50) diameter!: number
  @OrNull() @IsNumber() @Min(0) @Max(200) height!: number | null
}

class OutlineNamed implements NamedOutline {
  @IsString() @MaxLength(40) name!: string
  @Nested(() => Box) outline!: Box
  @IsNumber() @Min(-180) @Max(180) rotation!: number
  @IsNumber() @Min(0) @Max(200) gap!: number
}

class Register implements RegisterPlan {
  @Nested(() => Size) sheet!: Size
  @Nested(() => Box) outline!: Box
  @Nested(() => Box) image!: Box
  @IsNumber() @Min(-45) @Max(45) rotation!: number
  @IsIn(meetings) meeting!: Meeting
  @OrNull() @Nested(() => Box) mat!: Box | null
  @OrNull() @Nested(() => SeriesLines) series!: SeriesLines | null
  @IsNumber() @Min(0) @Max(500) stops!: number
  @IsArray() @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => PinPlaced) pins!: PinPlaced[]
  @IsArray()
  @ArrayMaxSize(mostOutlines)
  @ValidateNested({ each: true })
  @Type(() => OutlineNamed)
  more!: OutlineNamed[]
}

export class DrawRegister {
  @Nested(() => Register) register!: Register
  @OrNull() @IsString() @Length(1, 64) formatId!: string | null
}

class MarksMeasured implements Measured {
  @IsNumber() @Min(0) @Max(longest) before!: number
  @IsNumber() @Min(0) @Max(longest) after!: number
}

class PaperGrown implements Growth {
  @Nested(() => MarksMeasured) width!: MarksMeasured
  @Nested(() => MarksMeasured) height!: MarksMeasured
}

class PaperReady implements Settling {
  @IsInt() @Min(0) @Max(mostBlankPasses) passes!: number
  @OrNull() @Nested(() => PaperGrown) growth!: PaperGrown | null
}

export class SettlePaper {
  @IsString() @Length(1, 64) layerId!: string
  @Nested(() => PaperReady) settling!: PaperReady
}

export class SetSeriesFormat extends SeriesLines {
  @IsString() @Length(1, 64) id!: string
  @IsString() @MaxLength(80) name!: string
  @OrNull() @Nested(() => Size) mat!: Size | null
}
