import { IsInt, IsNumber, Max, Min } from 'class-validator'
import { OrNull, Part } from '../ground/shape'
import { longest } from '../units/length'
import type { Fault } from '../ground/refusal'
import type { Point } from '../drawing/shapes'

/** More blank passes than this only press the paper flat. */
export const mostBlankPasses = 20

/** Two marks on a sheet, before it was damped or run through blank, and after. mm. */
export class Measured {
  @IsNumber() @Min(0) @Max(longest) before!: number
  @IsNumber() @Min(0) @Max(longest) after!: number
}

/** How much a sheet grew between marks along its width and along its height, seen as the finished print. */
export class Growth {
  @Part(() => Measured) width!: Measured
  @Part(() => Measured) height!: Measured
}

/** How paper is got ready for one layer. */
export class Settling {
  /** Times each sheet goes through the press blank, which settles its size. */
  @IsInt() @Min(0) @Max(mostBlankPasses) passes!: number
  /** Null while nobody measured: the sheet is then taken as it was torn. */
  @OrNull() @Part(() => Growth) growth!: Growth | null
}

export const asTorn: Settling = { passes: 0, growth: null }
/** Paper that seems to grow or shrink by more was measured between other marks. */
const mostChange = 0.06
/** Marks closer together cannot be told apart well enough: half a millimetre of the ruler is half a percent. mm. */
const leastApart = 50

/** What positions along the width and along the height are multiplied by. */
export function factors(growth: Growth | null): Point {
  if (!growth) return [1, 1]
  return [growth.width.after / growth.width.before, growth.height.after / growth.height.before]
}

/** Why paper cannot be got ready so, or null. */
export function settlingFault({ passes, growth }: Settling): Fault | null {
  if (!Number.isInteger(passes) || passes < 0 || passes > mostBlankPasses)
    return {
      field: 'passes',
      message: `A sheet goes through blank 0 to ${mostBlankPasses} times; ${passes} was given.`,
    }
  if (!growth) return null
  for (const [side, { before, after }] of Object.entries(growth) as [string, Measured][]) {
    if (!(before >= leastApart && Number.isFinite(after)))
      return {
        field: side,
        message: `Put the two marks along the ${side} at least ${leastApart} mm apart, and measure them again when the sheet is ready.`,
      }
    if (Math.abs(after / before - 1) > mostChange)
      return {
        field: side,
        message: `From ${before} to ${after} mm is more than any paper moves. Measure between the same two marks.`,
      }
  }
  return null
}

/**
 * How far two layers miss each other at the far edge of the image when the paper had another size at each, mm along
 * width and height: what fits at one edge is out by so much at the other, half of it each when laid to the middle.
 */
export function misfit(image: { width: number; height: number }, one: Growth | null, other: Growth | null): Point {
  const [ax, ay] = factors(one)
  const [bx, by] = factors(other)
  return [image.width * Math.abs(bx / ax - 1), image.height * Math.abs(by / ay - 1)]
}
