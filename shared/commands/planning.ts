import { ArrayMaxSize, IsArray, IsIn, IsString, Length, MaxLength } from 'class-validator'
import { type StackOrder, stackOrders } from '#core/edition/layer'

export class AddLayer {
  @IsString() @MaxLength(80) name!: string
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) @MaxLength(60, { each: true }) blocks!: string[]
}

export class ChangeLayer extends AddLayer {
  @IsString() @Length(1, 64) layerId!: string
  @IsString() @MaxLength(500) routine!: string
  @IsIn(stackOrders) stackOrder!: StackOrder
}
