import { type LossBy, roomLossesBy } from '#core/watch/losses'
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator'
import type { RoomDay } from '#core/time/room-day'
import { IsDay, IsMoment } from '#core/ground/written'

export const editionStates = ['planned', 'proving', 'pulling', 'numbering', 'signing', 'closed'] as const

export class EditionsQuery {
  @IsOptional() @IsString() @MaxLength(120) search?: string
  @IsOptional() @IsIn(editionStates) state?: string
  /** Key of the last line of the page before. */
  @IsOptional() @IsString() @MaxLength(200) after?: string
  @IsOptional() @IsInt() @Min(1) @Max(200) limit?: number
}

export class FindQuery {
  @IsString() @MaxLength(120) text!: string
}

export class UsesQuery {
  @IsOptional() @IsString() @MaxLength(120) search?: string
}

export class LossesQuery {
  @IsIn(roomLossesBy) by!: LossBy
}

/** Days of the room, the last of them too. */
export class ChargesQuery {
  @IsDay() from!: RoomDay
  @IsDay() to!: RoomDay
}

/** A year by the room's calendar. */
export class YearQuery {
  @IsInt() @Min(1900) @Max(2200) year!: number
}

/** A span of time, a day or a year, its end left out, as ISO instants. */
export class SpanQuery {
  @IsMoment() from!: string
  @IsMoment() until!: string
}

export class StreamsQuery {
  /** Kinds and single streams, with commas between them. */
  @IsString() @MaxLength(2_000) of!: string
  /** Key of the last stream of the page before, where one kind alone is asked for. */
  @IsOptional() @IsString() @MaxLength(200) after?: string
}

export class LiveQuery {
  @IsOptional() @IsInt() @Min(0) @Max(1_000_000_000) after?: number
}

export class HandOutRequest {
  @IsString() @MaxLength(64) layerId!: string
  @IsString() @MaxLength(64) device!: string
  /** Sheets that the station was handed before. */
  @IsOptional() @IsArray() @ArrayMaxSize(100) @IsInt({ each: true }) inHand?: number[]
}

export class SecurityQuery {
  /** Lines older than this one. */
  @IsOptional() @IsInt() @Min(1) @Max(1_000_000_000) before?: number
}
