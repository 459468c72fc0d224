import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsInt, IsNumber, IsString, Length, Matches, Max, MaxLength, Min, ValidateNested } from 'class-validator'
import { lineCustoms, type LineCustom } from '#core/plan/plan'
import { type InkFamily, inkFamilies } from '#core/stores/batch'
import { type PressKind, pressKinds } from '#core/stores/press'

export class AddLot {
  @IsString() @MaxLength(80) maker!: string
  @IsString() @Length(1, 80) name!: string
  @IsNumber() @Min(20) @Max(5000) width!: number
  @IsNumber() @Min(20) @Max(5000) height!: number
  @IsNumber() @Min(5) @Max(2000) weight!: number
  @IsNumber() @Min(0) @Max(100_000) price!: number
  @IsInt() @Min(0) @Max(100_000) sheets!: number
}

export class CountLot {
  @IsInt() @Min(0) @Max(100_000) sheets!: number
  @IsString() @MaxLength(500) reason!: string
}

class InkComponent {
  @IsString() @Length(1, 80) name!: string
  @IsInt() @Max(100_000_000) milligrams!: number
}

export class MixBatch {
  @IsString() @Length(1, 80) name!: string
  @IsIn(inkFamilies) family!: InkFamily
  @Matches(/^#[0-9a-f]{6}$/i) colour!: string
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => InkComponent) components!: InkComponent[]
}

export class DrawInk {
  @IsInt() @Min(1) @Max(100_000_000) milligrams!: number
  @IsString() @MaxLength(80) editionStream!: string
  @IsString() @MaxLength(200) note!: string
}

export class ReweighBatch {
  @IsInt() @Min(0) @Max(100_000_000) milligrams!: number
  @IsString() @MaxLength(500) reason!: string
}

export class AddPress {
  @IsString() @Length(1, 80) name!: string
  @IsIn(pressKinds) kind!: PressKind
  @IsInt() @Min(0) @Max(400) divisions!: number
}

export class SetStudio {
  @IsString() @Length(1, 80) name!: string
  @IsIn(lineCustoms) line!: LineCustom
  @IsIn(['replaced', 'retired']) destroyedNumber!: 'replaced' | 'retired'
  @IsString() @Length(1, 8) currency!: string
}
