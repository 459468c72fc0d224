import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsString, Length, MaxLength, ValidateNested } from 'class-validator'
import { type StackOrder, stackOrders } from '#core/edition/layer'
import { OrNull } from './or-null'

export class AddLayer {
  @IsString() @MaxLength(80) name!: string
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) @MaxLength(60, { each: true }) blocks!: string[]
}

export class ChangeLayer extends AddLayer {
  @IsString() @Length(1, 64) layerId!: string
  @IsString() @MaxLength(500) routine!: string
  @IsIn(stackOrders) stackOrder!: StackOrder
}

class ZoneChoice {
  @IsString() @Length(1, 64) id!: string
  @IsString() @Length(1, 60) name!: string
  @OrNull() @IsString() @Length(1, 64) batchId!: string | null
}

export class SetZones {
  @IsString() @Length(1, 64) layerId!: string
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => ZoneChoice)
  zones!: ZoneChoice[]
}
