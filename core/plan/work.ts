import { IsNumber, Max, Min } from 'class-validator'

/** How the pulls are made, as far as it tells how many will pass. */
export type Work = 'press' | 'small hand work' | 'large hand work' | 'beginners'
export const works: readonly Work[] = ['press', 'small hand work', 'large hand work', 'beginners']

/** A pass rate the printer states, and how sure: worth so many pulls. */
export class StatedRate {
  /** Share of pulls that pass, 0 to 1. */
  @IsNumber() @Min(0) @Max(1) rate!: number
  @IsNumber() @Min(1) @Max(5000) pulls!: number
}

/** Shares that pass before anything is known here (models.md, M3). */
export const usualRates: Record<Work, number> = {
  press: 0.92,
  'small hand work': 0.92,
  'large hand work': 0.8,
  beginners: 0.8,
}

/** What a guess weighs against pulls that were counted. */
export const guessPulls = 25

/** Finishing: curating, colouring, signing. */
export const usualFinishing: StatedRate = { rate: 0.97, pulls: 30 }

/** A rate that leaves no doubt leaves nothing to reckon with. */
export const rateBounds = { least: 0.05, most: 0.995 } as const
