import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsInt,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import type { SettledSaid, TypedChargeSaid } from '#core/account/state'
import { OrNull } from './or-null'
import { IsDay, IsMoment } from './moments'

/** More than a printmaker's room turns over. */
const mostCents = 100_000_000

export class TypeCharge implements TypedChargeSaid {
  @IsDay() on!: string
  @IsString() @MaxLength(200) what!: string
  @IsInt() @Min(-mostCents) @Max(mostCents) cents!: number
  @OrNull() @IsString() @Length(1, 64) editionId!: string | null
}

class CorrectionSettled {
  @IsString() @Length(1, 64) statementId!: string
  @IsInt() @Min(-mostCents) @Max(mostCents) cents!: number
}

export class SettleStatement implements SettledSaid {
  @IsMoment() from!: string
  @IsMoment() until!: string
  @IsInt() @Min(0) @Max(1_000_000_000) upTo!: number
  @IsInt() @Min(-mostCents) @Max(mostCents) cents!: number
  @IsArray()
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => CorrectionSettled)
  corrections!: CorrectionSettled[]
  @IsString() @MaxLength(300) note!: string
}

export class ReopenStatement {
  @IsString() @Length(1, 64) statementId!: string
  @IsString() @MaxLength(500) reason!: string
}

export class SetRoomUse {
  @IsString() @Length(1, 64) editionId!: string
  @IsBoolean() isRooms!: boolean
}
