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
import type { Grain } from '#core/paper/tear-request'
import type { PastEditionRow } from '#core/plan/past-editions'
import { lineCustoms, type LineCustom } from '#core/print/pencil-line'
import { type Method, methods } from '#core/plan/plan'
import { type LotDescription, type PaperUse, paperUses } from '#core/stores/lot/state'
import { type Work, works } from '#core/plan/work'
import { tarerChoices, type Tarers } from '#core/stores/studio/state'
import { type LengthUnit, lengthUnits } from '#core/units/length'
import { EdgesMarked, grains } from './preparing'
import { Nested } from './nested'

export class DescribeLot implements LotDescription {
  @IsString() @MaxLength(80) maker!: string
  @IsString() @Length(1, 80) name!: string
  @IsNumber() @Min(20) @Max(5000) width!: number
  @IsNumber() @Min(20) @Max(5000) height!: number
  @IsNumber() @Min(5) @Max(2000) weight!: number
  @IsNumber() @Min(0) @Max(100_000) price!: number
  @IsIn(paperUses) use!: PaperUse
  @IsIn(grains) grain!: Grain
  @IsString() @MaxLength(120) betterSide!: string
  @Nested(() => EdgesMarked) deckles!: EdgesMarked
  @IsBoolean() damp!: boolean
  @IsString() @MaxLength(120) keptAt!: string
}

export class AddLot extends DescribeLot {
  @IsInt() @Min(0) @Max(100_000) sheets!: number
}

export class BuyPaper {
  @IsInt() @Min(1) @Max(100_000) sheets!: number
  @IsNumber() @Min(0) @Max(100_000) price!: number
}

export class RationPaper {
  @IsString() @Length(1, 64) personId!: string
  @IsInt() @Min(1) @Max(10_000) sheets!: number
}

export class MoveRation {
  @IsString() @Length(1, 64) rationId!: string
  @IsInt() @Min(1) @Max(10_000) sheets!: number
}

export class CountLot {
  @IsInt() @Min(0) @Max(100_000) sheets!: number
  @IsString() @MaxLength(500) reason!: string
}

export class SetStudio {
  @IsString() @Length(1, 80) name!: string
  @IsIn(lineCustoms) line!: LineCustom
  @IsIn(['replaced', 'retired']) destroyedNumber!: 'replaced' | 'retired'
  @IsString() @Length(1, 8) currency!: string
  @IsIn(lengthUnits) unit!: LengthUnit
  @IsNumber() @Min(0) @Max(10_000) inkGram!: number
  @IsNumber() @Min(0) @Max(10_000) pressHour!: number
  @IsNumber() @Min(0) @Max(10_000) labourHour!: number
  @IsNumber() @Min(0.5) @Max(0.99) confidence!: number
  @IsInt() @Min(0) @Max(720) idleMinutes!: number
  @IsInt() @Min(0) @Max(365) backupsKept!: number
  @IsInt() @Min(0) @Max(1000) bookedHours!: number
  @IsIn(tarerChoices) tarers!: Tarers
}

class PastEditionTotals implements PastEditionRow {
  @IsString() @Length(1, 120) title!: string
  @IsIn(methods) method!: Method
  @IsIn(works) work!: Work
  @IsInt() @Min(0) @Max(100_000) passed!: number
  @IsInt() @Min(0) @Max(100_000) rejected!: number
  @IsInt() @Min(0) @Max(100_000) finished!: number
  @IsInt() @Min(0) @Max(100_000) lost!: number
}

export class AddPastEditions {
  @IsArray()
  @ArrayMaxSize(500)
  @ValidateNested({ each: true })
  @Type(() => PastEditionTotals)
  editions!: PastEditionTotals[]
}

export class WithdrawPastEdition {
  @IsString() @Length(1, 80) id!: string
  @IsString() @MaxLength(500) reason!: string
}
