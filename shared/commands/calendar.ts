import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsInt,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import type { BookingSaid, ClosureSaid, Move, Opening, RoomHours } from '#core/calendar/state'
import { OrNull } from './or-null'
import { timeOfDay, timePattern } from './time-of-day'
import { IsMoment } from './moments'

const localTime = { message: 'a time by the room’s clock is written 2026-12-24T18:30' }
const localPattern = /^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):[0-5]\d$/
/** As many at once as a timetable of a busy term proposes. */
const mostBookings = 500

class Opened implements Opening {
  @IsInt() @Min(1) @Max(7) weekday!: number
  @Matches(timePattern, timeOfDay) from!: string
  @Matches(timePattern, timeOfDay) until!: string
}

export class SetHours implements RoomHours {
  @IsString() @Length(1, 64) timeZone!: string
  @IsArray() @ArrayMaxSize(42) @ValidateNested({ each: true }) @Type(() => Opened) hours!: Opened[]
}

export class CloseRoom implements ClosureSaid {
  @Matches(localPattern, localTime) from!: string
  @Matches(localPattern, localTime) until!: string
  @OrNull() @IsString() @Length(1, 64) personId!: string | null
  @IsString() @MaxLength(200) why!: string
}

export class WithdrawClosure {
  @IsString() @Length(1, 100) closureId!: string
}

export class BringClosures {
  @IsString() @MaxLength(120) source!: string
  @IsArray() @ArrayMaxSize(400) @ValidateNested({ each: true }) @Type(() => CloseRoom) closures!: CloseRoom[]
}

class Moved implements Move {
  @IsString() @Length(1, 64) bookingId!: string
  @IsString() @Length(1, 64) placeId!: string
  @IsMoment() from!: string
  @IsMoment() until!: string
}

class Booked extends Moved implements BookingSaid {
  @IsString() @Length(1, 64) personId!: string
  @OrNull() @IsString() @Length(1, 64) editionId!: string | null
  @OrNull() @IsString() @Length(1, 64) layerId!: string | null
  @IsBoolean() isFixed!: boolean
  @IsString() @MaxLength(300) note!: string
}

export class Book {
  @IsArray() @ArrayMaxSize(mostBookings) @ValidateNested({ each: true }) @Type(() => Booked) bookings!: Booked[]
}

export class MoveBookings {
  @IsArray() @ArrayMaxSize(mostBookings) @ValidateNested({ each: true }) @Type(() => Moved) moves!: Moved[]
}

export class CancelBookings {
  @IsArray()
  @ArrayMaxSize(mostBookings)
  @IsString({ each: true })
  @Length(1, 64, { each: true })
  bookingIds!: string[]
}
