import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsString, Length, Max, MaxLength, Min } from 'class-validator'
import { mostInSlot, mostSlots, type RackDescription, type RackKind, rackKinds } from '#core/stores/rack/state'
import { OrNull } from './or-null'

export class DescribeRack implements RackDescription {
  @IsString() @MaxLength(60) name!: string
  @IsIn(rackKinds) kind!: RackKind
  @IsInt() @Min(1) @Max(mostSlots) slots!: number
  @IsInt() @Min(1) @Max(mostInSlot) perSlot!: number
  @IsString() @MaxLength(120) place!: string
}

export class LayIn {
  @IsString() @Length(1, 64) rackId!: string
  @IsString() @Length(1, 64) layerId!: string
  @IsArray()
  @ArrayMaxSize(5000)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(20_000, { each: true })
  sheetIds!: number[]
  @OrNull() @IsInt() @Min(1) @Max(mostSlots) from!: number | null
}

export class TakeOut {
  @IsString() @Length(1, 64) rackId!: string
  @IsArray()
  @ArrayMaxSize(mostSlots)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(mostSlots, { each: true })
  slots!: number[]
}

export class WatchClimate {
  @IsBoolean() isOn!: boolean
}
