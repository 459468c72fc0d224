import { ArrayMaxSize, ArrayMinSize, IsArray, IsInt, IsNumber, Max, Min } from 'class-validator'
import { OrNull, Words } from '../ground/shape'

/** Exposure of a photopolymer plate, found by a step test. Times in seconds. */
export class ExposureRecord {
  /** Times of the steps, shortest first. */
  @IsArray()
  @ArrayMinSize(0)
  @ArrayMaxSize(20)
  @IsNumber({}, { each: true })
  @Min(0, { each: true })
  @Max(36_000, { each: true })
  steps!: number[]
  /** Index of the first step that holds its finest detail, or null when none does. */
  @OrNull() @IsInt() @Min(0) @Max(19) firstHolding!: number | null
  @IsNumber() @Min(0) @Max(36_000) exposure!: number
  @IsNumber() @Min(0) @Max(36_000) washOut!: number
  @IsNumber() @Min(0) @Max(36_000) hardening!: number
  @Words(500) note!: string
}

/**
 * Times of a step test in geometric steps, so that each is the same judgement longer than the one before.
 * @param first the shortest time, s, above 0
 * @param factor each step over the one before, above 1 (√2 is usual)
 * @param count steps, 2 to 20
 * @returns whole seconds, shortest first, no two alike
 * @throws RangeError outside those
 */
export function stepTimes(first: number, factor: number, count: number): number[] {
  if (!(first > 0)) throw new RangeError(`The first step is longer than 0 s; ${first} was given.`)
  if (!(factor > 1)) throw new RangeError(`Each step is longer than the last; a factor of ${factor} is not.`)
  if (!Number.isInteger(count) || count < 2 || count > 20)
    throw new RangeError(`A step test has 2 to 20 steps; ${count} were asked for.`)
  const times: number[] = []
  for (let i = 0; i < count; i++) times.push(Math.max(Math.round(first * factor ** i), (times.at(-1) ?? 0) + 1))
  return times
}

/** What a step test says: the exposure to use, or which way to test on. */
export function exposureFrom(
  steps: readonly number[],
  firstHolding: number | null,
): { exposure: number | null; words: string } {
  if (firstHolding === null) return { exposure: null, words: `No step holds: test on from ${steps.at(-1)} s upwards.` }
  const exposure = steps[firstHolding]
  if (exposure === undefined) return { exposure: null, words: 'Choose one of the steps tested.' }
  if (firstHolding === 0)
    return {
      exposure,
      words: `Even the shortest step holds: ${exposure} s will do, and a shorter test would tell how little does.`,
    }
  return {
    exposure,
    words: `Expose ${exposure} s, the first step that holds; at ${steps[firstHolding - 1]} s detail washed away.`,
  }
}

/** `75` → `1:15`. */
export function clock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds))
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}
