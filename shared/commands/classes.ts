import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import type { Begun, CourseDescription, Meeting } from '#core/course/state'
import { type Gate, gates } from '#core/edition/assignment'
import type { PictureShown, PointSaid } from '#core/edition/hand-in'
import { type AskFor, asksFor, type SignOffFor, signOffsFor } from '#core/edition/sign-offs'
import { type Use, uses } from '#core/stores/studio/leaves'
import { Nested } from './nested'
import { OrNull } from './or-null'
import { timeOfDay, timePattern } from './time-of-day'
import { Plan } from './plan'
import { IsDay } from './moments'

const mostStudents = 100
const mostPoints = 20

class Meets implements Meeting {
  @IsInt() @Min(1) @Max(7) weekday!: number
  @Matches(timePattern, timeOfDay) from!: string
  @Matches(timePattern, timeOfDay) until!: string
}

export class DescribeCourse implements CourseDescription {
  @IsString() @MaxLength(80) name!: string
  @IsString() @MaxLength(80) term!: string
  @OrNull() @IsDay() from!: string | null
  @OrNull() @IsDay() until!: string | null
  @IsArray() @ArrayMaxSize(14) @ValidateNested({ each: true }) @Type(() => Meets) meets!: Meets[]
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) @Length(1, 64, { each: true }) instructorIds!: string[]
}

export class EnrolStudents {
  @IsArray() @ArrayMaxSize(mostStudents) @IsString({ each: true }) @Length(1, 64, { each: true }) personIds!: string[]
}

export class TakeOffCourse {
  @IsString() @Length(1, 64) personId!: string
}

class PaperGiven {
  @IsString() @Length(1, 64) lotId!: string
  @IsInt() @Min(1) @Max(1000) sheets!: number
}

export class SetAssignment {
  @IsString() @Length(1, 64) assignmentId!: string
  @IsString() @MaxLength(120) title!: string
  @Nested(() => Plan) plan!: Plan
  @IsArray() @ArrayMaxSize(gates.length) @IsIn(gates, { each: true }) gates!: Gate[]
  @OrNull() @IsInt() @Min(0) @Max(500) practice!: number | null
  @IsBoolean() mayReplan!: boolean
  @OrNull() @IsDay() opens!: string | null
  @OrNull() @IsDay() due!: string | null
  @OrNull() @Nested(() => PaperGiven) paper!: PaperGiven | null
  @IsArray() @ArrayMaxSize(mostPoints) @IsString({ each: true }) @Length(1, 120, { each: true }) pictures!: string[]
  @IsArray() @ArrayMaxSize(mostPoints) @IsString({ each: true }) @Length(1, 200, { each: true }) points!: string[]
  @IsArray() @ArrayMaxSize(mostStudents) @IsString({ each: true }) @Length(1, 64, { each: true }) editionIds!: string[]
}

class StartOne implements Begun {
  @IsString() @Length(1, 64) editionId!: string
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) @Length(1, 64, { each: true }) personIds!: string[]
  @IsString() @MaxLength(120) title!: string
  @IsString() @MaxLength(80) artist!: string
}

export class StartAssignment {
  @IsString() @Length(1, 64) assignmentId!: string
  @IsArray() @ArrayMaxSize(mostStudents) @ValidateNested({ each: true }) @Type(() => StartOne) editions!: StartOne[]
  @OrNull() @IsString() @Length(1, 64) lotId!: string | null
}

export class DrawPrints {
  @IsString() @Length(1, 64) assignmentId!: string
  @IsInt() @Min(1) @Max(mostStudents) each!: number
  @IsString() @MaxLength(500) reason!: string
}

export class AskStaff {
  @IsIn(asksFor) what!: AskFor
  @OrNull() @IsString() @Length(1, 64) layerId!: string | null
  @OrNull() @IsString() @Length(1, 64) pressId!: string | null
  @IsString() @MaxLength(300) words!: string
}

export class AnswerAsk {
  @IsString() @Length(1, 64) askId!: string
  @IsString() @MaxLength(300) note!: string
}

class GivenOut {
  @IsString() @Length(1, 64) lotId!: string
  @IsString() @Length(1, 64) rationId!: string
  @IsInt() @Min(1) @Max(1000) sheets!: number
}

export class SignOff {
  @IsIn(signOffsFor) what!: SignOffFor
  @OrNull() @IsString() @Length(1, 64) layerId!: string | null
  @OrNull() @IsString() @Length(1, 64) pressId!: string | null
  @OrNull() @IsString() @Length(1, 64) personId!: string | null
  @IsString() @MaxLength(300) note!: string
  @OrNull() @Nested(() => GivenOut) paper!: GivenOut | null
}

export class GivePaper {
  @IsString() @Length(1, 64) lotId!: string
  @IsString() @Length(1, 64) personId!: string
  @IsInt() @Min(1) @Max(1000) sheets!: number
  @IsString() @MaxLength(300) note!: string
}

export class WithdrawSignOff {
  @IsString() @Length(1, 64) signOffId!: string
  @IsString() @MaxLength(500) reason!: string
}

export class GiveLeave {
  @IsString() @Length(1, 64) personId!: string
  @IsIn(uses) use!: Use
  @OrNull() @IsString() @Length(1, 64) pressId!: string | null
  @IsString() @MaxLength(300) note!: string
}

export class WithdrawLeave {
  @IsString() @Length(1, 64) leaveId!: string
  @IsString() @MaxLength(500) reason!: string
}

class Shown implements PictureShown {
  @IsString() @Length(1, 120) shows!: string
  @IsString() @Length(1, 64) pictureId!: string
}

class Said implements PointSaid {
  @IsString() @Length(1, 200) point!: string
  @IsString() @MaxLength(2000) words!: string
}

export class HandIn {
  @IsArray() @ArrayMaxSize(mostPoints * 2) @ValidateNested({ each: true }) @Type(() => Shown) pictures!: Shown[]
  @IsArray() @ArrayMaxSize(mostPoints) @ValidateNested({ each: true }) @Type(() => Said) points!: Said[]
  @IsString() @MaxLength(4000) words!: string
}

export class CommentWork {
  @IsString() @MaxLength(4000) words!: string
}
