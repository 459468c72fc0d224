import { IsInt, IsNumber, Length, Max, Min } from 'class-validator'
import { Id, Unit } from '../ground/shape'

/** A hundred kilograms, in milligrams: more no slab holds. */
export const heaviest = 100_000_000

/**
 * How much ink (models.md, M4). Film in µm, areas in mm², density in g/cm³, masses in g: 1 µm · 1 mm² = 10⁻⁶ cm³.
 */
export interface InkGuess {
  /** Film on the print, µm. */
  film: number
  density: number
  /** Film that stays on roller and slab at every wash-up, µm. */
  held: number
  /** Share added for handling. */
  loss: number
}

/** Starting guesses; the shop's own records replace them. */
export const inkGuesses: { press: InkGuess; hand: InkGuess } = {
  press: { film: 8, density: 1.1, held: 20, loss: 0.1 },
  hand: { film: 10, density: 1.1, held: 20, loss: 0.1 },
}

/** Films that are met on rough dry paper and smooth, µm: what the guess may be off by. */
export const filmRange = { least: 5, most: 15 }

export const perCubicCentimetre = 1e-6

/**
 * Grams of ink one impression takes: film × block area × inked share × density.
 * @example
 * gramsAnImpression(10_000, 0.5, 8, 1.1) // 0.044
 */
export function gramsAnImpression(blockArea: number, inkedShare: number, film: number, density: number): number {
  return film * blockArea * inkedShare * perCubicCentimetre * density
}

/** What a zone's ink has to do. Areas in mm². */
export interface InkJob {
  blockArea: number
  /** Share of the block that carries this ink, 0 to 1. */
  inkedShare: number
  /** Share of the block that is inked and wiped or masked away again at every pull. */
  wipedShare: number
  /** Pulls expected: those for the edition, warm-up and proofs. */
  impressions: number
  /** Wash-ups, one at the end of each session. */
  sessions: number
  rollerSurface: number
  slabArea: number
}

/** Grams, each term by itself. */
export interface InkAmount {
  anImpression: number
  prints: number
  wiped: number
  held: number
  loss: number
  total: number
}

/** Grams to mix for a job: (prints + held + wiped) × (1 + loss). */
export function inkAmount(job: InkJob, { film, density, held: heldFilm, loss: lossShare }: InkGuess): InkAmount {
  const anImpression = gramsAnImpression(job.blockArea, job.inkedShare, film, density)
  const prints = anImpression * job.impressions
  const wiped = gramsAnImpression(job.blockArea, job.wipedShare, film, density) * job.impressions
  const held = heldGrams(job, heldFilm, density)
  const sum = prints + wiped + held
  return { anImpression, prints, wiped, held, loss: sum * lossShare, total: sum * (1 + lossShare) }
}

/** Grams that stay on roller and slab over all wash-ups. */
export function heldGrams(
  job: Pick<InkJob, 'sessions' | 'rollerSurface' | 'slabArea'>,
  film: number,
  density: number,
): number {
  return film * perCubicCentimetre * density * (job.rollerSurface + job.slabArea) * job.sessions
}

/** A run whose ink was weighed before and after. */
export interface InkRun {
  /** Grams mixed or taken, left, and scraped off unused. */
  mixed: number
  left: number
  scraped: number
  /** Area printed and wiped, all impressions together, mm². */
  area: number
  sessions: number
  rollerSurface: number
  slabArea: number
}

/**
 * Film of a run, µm, from the grams that went: (used / (1 + loss) − held) / (density × area).
 * @returns null when nothing was printed, or less ink went than roller and slab alone hold
 */
export function filmOfRun(run: InkRun, { density, held, loss }: InkGuess): number | null {
  const used = run.mixed - run.left - run.scraped
  const printed = used / (1 + loss) - heldGrams(run, held, density)
  if (!(run.area > 0) || !(printed > 0)) return null
  return printed / (density * run.area * perCubicCentimetre)
}

/** The area the guess counts for among measured runs: 1 m², in mm². */
const guessArea = 1_000_000

/** The shop's own film: the mean of its runs and the guess, weighted by printed area. */
export function shopFilm(
  runs: readonly { film: number; area: number }[],
  guess: number,
): { film: number; area: number } {
  const area = runs.reduce((sum, run) => sum + run.area, 0)
  return {
    film: (guess * guessArea + runs.reduce((sum, run) => sum + run.film * run.area, 0)) / (guessArea + area),
    area,
  }
}

/** What a run of pulls took, weighed before and after. */
export class WeighedRun {
  static readonly sample: WeighedRun = {
    editionStream: 'edition:e',
    layerId: 'l',
    milligrams: 9000,
    area: 900000,
    film: 7.5,
  }

  @Length(1, 80) editionStream!: string
  @Id('layer') layerId!: string
  @IsInt() @Min(0) @Max(heaviest) @Unit('mg') milligrams!: number
  /** Area printed, mm², and the film that follows from it, µm. */
  @IsNumber() @Min(0) @Max(1e12) area!: number
  @IsNumber() @Min(0) @Max(1000) film!: number
}
