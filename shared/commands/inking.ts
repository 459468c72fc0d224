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
import { type HueName, hueNames } from '#core/ink/hues'
import type { Card } from '#core/ink/draw-down'
import { type InkNature, inkNatures } from '#core/ink/pigments'
import type {
  BlendPlan,
  Chore,
  OverprintLayer,
  OverprintPlan,
  OverprintWish,
  RollUp,
  ShareReading,
  ZoneInk,
} from '#core/ink/roll-up'
import type { Roller } from '#core/ink/roller'
import { type Addition, additions } from '#core/stores/batch/state'
import type { Poured } from '#core/ink/component'
import { type InkFamily, inkFamilies } from '#core/ink/family'
import {
  type Container,
  containers,
  type TubCondition,
  tubConditions,
  type TubDescription,
} from '#core/stores/tub/state'
import { OrNull } from './or-null'
import { Nested } from './nested'
import { IsDay } from './moments'

const hex = /^#[0-9a-f]{6}$/i

/** A hundred kilograms, in milligrams: more no slab holds. */
const heaviest = 100_000_000

class CardSeen implements Card {
  @Matches(hex) white!: string
  @Matches(hex) overWhite!: string
  @Matches(hex) overBlack!: string
  @IsNumber() @Min(0) @Max(1000) thickness!: number
}

class Limits {
  @IsNumber() @Min(0) @Max(100) least!: number
  @IsNumber() @Min(0) @Max(100) most!: number
}

export class DescribeTub implements TubDescription {
  @IsString() @Length(1, 80) name!: string
  @IsString() @MaxLength(80) maker!: string
  @IsIn(containers) container!: Container
  @IsIn(inkFamilies) family!: InkFamily
  @IsIn(inkNatures) nature!: InkNature
  @IsNumber() @Min(0) @Max(10) density!: number
  @IsNumber() @Min(0) @Max(100) tinting!: number
  @IsNumber() @Min(0) @Max(10_000) price!: number
  @OrNull() @IsDay() openedOn!: string | null
  @IsIn(tubConditions) condition!: TubCondition
  @OrNull() @Nested(() => Limits) limits!: Limits | null
  @IsString() @MaxLength(120) keptAt!: string
  @OrNull() @Nested(() => CardSeen) card!: CardSeen | null
}

export class AddTub extends DescribeTub {
  @IsInt() @Min(0) @Max(heaviest) milligrams!: number
}

export class WeighTub {
  @IsInt() @Min(0) @Max(heaviest) milligrams!: number
  @IsString() @MaxLength(500) reason!: string
}

class InkComponent implements Poured {
  @OrNull() @IsString() @Length(1, 64) tubId!: string | null
  @OrNull() @IsString() @Length(1, 64) batchId!: string | null
  @IsString() @Length(1, 80) name!: string
  @IsInt() @Min(-heaviest) @Max(heaviest) milligrams!: number
}

export class MixBatch {
  @IsString() @Length(1, 80) name!: string
  @IsIn(inkFamilies) family!: InkFamily
  @Matches(hex) colour!: string
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(24)
  @ValidateNested({ each: true })
  @Type(() => InkComponent)
  components!: InkComponent[]
}

export class AddInk {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(24)
  @ValidateNested({ each: true })
  @Type(() => InkComponent)
  components!: InkComponent[]
  @IsIn(additions) why!: Addition
}

export class DrawInk {
  @IsInt() @Min(1) @Max(heaviest) milligrams!: number
  @IsString() @MaxLength(80) editionStream!: string
  @IsString() @MaxLength(200) note!: string
  @OrNull() @IsString() @Length(1, 64) layerId!: string | null
}

export class ReweighBatch {
  @IsInt() @Min(0) @Max(heaviest) milligrams!: number
  @IsString() @MaxLength(500) reason!: string
}

export class KeepBatch {
  @IsInt() @Min(0) @Max(heaviest) milligrams!: number
  @IsInt() @Min(0) @Max(heaviest) scraped!: number
  @IsString() @MaxLength(200) how!: string
}

export class SeeDrawDown {
  @Matches(hex) ground!: string
  @Matches(hex) colour!: string
  @IsNumber() @Min(0) @Max(1000) thickness!: number
}

export class WeighRun {
  @IsString() @Length(1, 80) editionStream!: string
  @IsString() @Length(1, 64) layerId!: string
  @IsInt() @Min(0) @Max(heaviest) milligrams!: number
  @IsNumber() @Min(0) @Max(1e12) area!: number
  @IsNumber() @Min(0) @Max(1000) film!: number
}

export class SetRoller implements Roller {
  @IsString() @Length(1, 64) id!: string
  @IsString() @Length(1, 80) name!: string
  @IsNumber() @Min(0) @Max(5000) width!: number
  @IsNumber() @Min(0) @Max(1000) diameter!: number
}

export class RetireRoller {
  @IsString() @Length(1, 64) id!: string
}

class ChoreToDo implements Chore {
  @IsInt() @Min(0) @Max(10_000) every!: number
  @IsString() @MaxLength(120) what!: string
}

class ZoneShares implements ZoneInk {
  @IsString() @Length(1, 64) zoneId!: string
  @OrNull() @IsNumber() @Min(-10) @Max(10) inkedShare!: number | null
  @IsNumber() @Min(-10) @Max(10) wipedShare!: number
}

class RollUpSaid implements RollUp {
  @OrNull() @Nested(() => SetRoller) roller!: SetRoller | null
  @IsNumber() @Min(0) @Max(1e8) slabArea!: number
  @IsInt() @Min(0) @Max(50) charges!: number
  @IsInt() @Min(0) @Max(100) passes!: number
  @IsString() @MaxLength(120) directions!: string
  @IsString() @MaxLength(120) wiping!: string
  @IsString() @MaxLength(120) masks!: string
  @IsString() @MaxLength(120) dabbing!: string
  @IsString() @MaxLength(120) touching!: string
  @IsArray() @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => ChoreToDo) chores!: ChoreToDo[]
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => ZoneShares) zones!: ZoneShares[]
  @IsInt() @Min(0) @Max(100) sessions!: number
  @OrNull() @IsNumber() @Min(0) @Max(100_000) openMinutes!: number | null
}

export class SetRollUp {
  @IsString() @Length(1, 64) layerId!: string
  @Nested(() => RollUpSaid) rollUp!: RollUpSaid
}

class MaskedArea {
  @IsNumber() @Min(0) @Max(1) left!: number
  @IsNumber() @Min(0) @Max(1) top!: number
  @IsNumber() @Min(0) @Max(1) width!: number
  @IsNumber() @Min(0) @Max(1) height!: number
}

class ShareRead implements ShareReading {
  @IsString() @Length(1, 100) pictureId!: string
  @IsInt() @Min(0) @Max(256) threshold!: number
  @IsBoolean() lightInked!: boolean
  @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => MaskedArea) masked!: MaskedArea[]
}

export class SetInkedShare {
  @IsString() @Length(1, 64) blockId!: string
  @IsNumber() @Min(-10) @Max(10) share!: number
  @OrNull() @Nested(() => ShareRead) reading!: ShareRead | null
}

class LayerFilm implements OverprintLayer {
  @IsString() @Length(1, 64) layerId!: string
  @OrNull() @IsString() @Length(1, 64) batchId!: string | null
  @IsNumber() @Min(0) @Max(100) thickness!: number
}

class WishForOverlap implements OverprintWish {
  @IsArray() @ArrayMaxSize(7) @IsString({ each: true }) @Length(1, 64, { each: true }) layers!: string[]
  @IsIn(['colour', 'layer', 'paper']) keep!: OverprintWish['keep']
  @OrNull() @Matches(hex) colour!: string | null
  @OrNull() @IsString() @Length(1, 64) layerId!: string | null
}

class OverprintSaid implements OverprintPlan {
  @Matches(hex) paper!: string
  @IsArray() @ArrayMaxSize(12) @ValidateNested({ each: true }) @Type(() => LayerFilm) layers!: LayerFilm[]
  @IsArray() @ArrayMaxSize(40) @ValidateNested({ each: true }) @Type(() => WishForOverlap) wishes!: WishForOverlap[]
}

export class PlanOverprint {
  @Nested(() => OverprintSaid) overprint!: OverprintSaid
}

class StripeSaid {
  @IsString() @Length(1, 64) batchId!: string
  @IsNumber() @Min(-1) @Max(2) at!: number
}

class BlendSaid implements BlendPlan {
  @IsArray() @ArrayMaxSize(6) @ValidateNested({ each: true }) @Type(() => StripeSaid) stripes!: StripeSaid[]
  @IsNumber() @Min(-1) @Max(2) blend!: number
  @IsNumber() @Min(0) @Max(1) widening!: number
  @IsInt() @Min(0) @Max(10_000) freshAfter!: number
  @OrNull() @IsIn(hueNames) avoid!: HueName | null
  @IsBoolean() severalDirections!: boolean
  @IsNumber() @Min(0) @Max(100) thickness!: number
}

export class PlanBlend {
  @IsString() @Length(1, 64) layerId!: string
  @OrNull() @Nested(() => BlendSaid) blend!: BlendSaid | null
}
