import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsString, Length, Max, Min } from 'class-validator'
import { OrNull } from '../ground/shape'
import { IsDay } from '../ground/written'

/** What students of an assignment ask for before they go on: a press, good paper, each further cut of a block. */
export type Gate = 'press' | 'paper' | 'cut'
export const gates: readonly Gate[] = ['press', 'paper', 'cut']

/** The largest class, and the most points and pictures an assignment asks for. */
export const mostStudents = 100
export const mostPoints = 20

/** What a class's assignment asks of an edition, copied into it so that it folds by itself. */
export class Terms {
  @IsArray() @ArrayMaxSize(gates.length) @IsIn(gates, { each: true }) gates!: Gate[]
  /** Practice pulls that are allowed, or null for any number. */
  @OrNull() @IsInt() @Min(0) @Max(500) practice!: number | null
  /** Whether its students may change the plan: the size, the layers. */
  @IsBoolean() mayReplan!: boolean
  /** Pictures to hand in, each by what it shows. */
  @IsArray() @ArrayMaxSize(mostPoints) @IsString({ each: true }) @Length(1, 120, { each: true }) pictures!: string[]
  /** What students look at their own work for. */
  @IsArray() @ArrayMaxSize(mostPoints) @IsString({ each: true }) @Length(1, 200, { each: true }) points!: string[]
  /** The day from which its students may tear, pull and cut, ISO date, or null: at once. */
  @OrNull() @IsDay() opens!: string | null
  /** The day it is handed in, ISO date, or null. */
  @OrNull() @IsDay() due!: string | null
}

export interface Assignment extends Terms {
  courseId: string
  /** The class, by name, as it was called then. */
  course: string
  assignmentId: string
  /** As the class calls it. */
  title: string
}
