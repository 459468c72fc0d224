import { IsBoolean, IsIn, IsNumber, Max, Min } from 'class-validator'
import type { InkFamily } from '../ink/family'

/** How paper takes ink up. */
export type DryingPaper = 'absorbent' | 'ordinary' | 'hard'
export const dryingPapers: readonly DryingPaper[] = ['absorbent', 'ordinary', 'hard']

/** What is said of how a layer dries. */
export class DryingSaid {
  @IsIn(dryingPapers) paper!: DryingPaper
  /** The air stands: a closed rack, no draught. */
  @IsBoolean() stillAir!: boolean
  /** A drier was added within its label's range. */
  @IsBoolean() drier!: boolean
}

export const dryingDefaults: DryingSaid = { paper: 'ordinary', stillAir: false, drier: false }

/** The air of the room. */
export class Climate {
  static readonly sample: Climate = { temperature: 18.5, humidity: 55 }

  /** °C. */
  @IsNumber() @Min(-20) @Max(50) temperature!: number
  /** Relative humidity, per cent. */
  @IsNumber() @Min(0) @Max(100) humidity!: number
}

/** A room nobody has measured. */
export const guessedClimate: Climate = { temperature: 20, humidity: 50 }

export interface DryingConditions extends DryingSaid, Climate {
  family: InkFamily
  /** Film of ink, µm. */
  film: number
  isDamp: boolean
  /** Layers of ink beneath. */
  beneath: number
  /** True when one of them is a rubber-based or absorbing ink, which stays open longer. */
  onAbsorbing: boolean
}

/** Hours until the usual film can be printed on, at 20 °C in dry, moving air on ordinary paper: guesses of the craft. */
const base: Record<InkFamily, number> = {
  'water-based': 1,
  oil: 48,
  'water-washable oil': 60,
  'rubber-based': 72,
  other: 48,
}

/** The film those hours are for, µm. */
const usualFilm = 8
const papers: Record<DryingPaper, number> = { absorbent: 0.8, ordinary: 1, hard: 1.4 }

/** Inks that set by being taken up, and may stay tacky over ink. */
export const setsByAbsorbing = (family: InkFamily) => family === 'rubber-based'

/** Hours until a layer is fit to be printed on, before its spread (models.md, M12). */
export function hoursToOverprint(by: DryingConditions): number {
  const under = by.beneath === 0 ? 1 : by.onAbsorbing ? 1.6 : 1.3 ** by.beneath
  return (
    base[by.family] *
    2 ** ((20 - by.temperature) / 10) *
    (1 + Math.max(0, by.humidity - 50) / 100) *
    (by.film / usualFilm) *
    papers[by.paper] *
    (by.isDamp ? 1.3 : 1) *
    (by.stillAir ? 1.2 : 1) *
    (by.drier ? 0.5 : 1) *
    under
  )
}

export type Moment = 'touch' | 'overprint' | 'stack' | 'ship'
export const momentsInOrder: readonly Moment[] = ['touch', 'overprint', 'stack', 'ship']

/** What each takes of the hours until a layer can be printed on. */
const share: Record<Moment, number> = { touch: 0.5, overprint: 1, stack: 1.5, ship: 3 }

/** Hours after the pull, from the earliest to the latest. */
export interface HourRange {
  from: number
  to: number
}

/** The guess is off by as much either way. */
const spread = 2
/** A film left to harden so many times as long refuses the next layer. */
const latestTimes = 10

export interface Drying {
  moments: Record<Moment, HourRange>
  /** Hours after which a hardened film may refuse the next layer, or null for inks that do not harden so. */
  latest: number | null
}

/**
 * When a layer is fit for what.
 * @param factor what the room's touch tests make of the guess for such an ink and paper
 */
export function dryingOf(by: DryingConditions, factor = 1): Drying {
  const hours = hoursToOverprint(by) * factor
  const range = (moment: Moment): HourRange => ({
    from: (hours * share[moment]) / spread,
    to: hours * share[moment] * spread,
  })
  return {
    moments: { touch: range('touch'), overprint: range('overprint'), stack: range('stack'), ship: range('ship') },
    latest: by.family === 'oil' || by.family === 'water-washable oil' ? hours * latestTimes : null,
  }
}

/** The hours in the middle of a range, as far from its beginning as from its end: as guessed, or as the room has learnt. */
export const middleOf = ({ from, to }: HourRange): number => Math.sqrt(from * to)

/** Hours at which a moment is reached in the middle of its range. */
export function expectedHours(by: DryingConditions, moment: Moment): number {
  return hoursToOverprint(by) * share[moment]
}

/** What touch tests of one ink and paper say: the sum of the logarithms of found over expected, and how many. */
export interface TouchRecord {
  logs: number
  tests: number
}

/** The guess weighs as much as so many tests. */
const guessTests = 3

/** What the guess is multiplied by: the mean of logarithms, the guess counting as three tests that came as expected. */
export function factorOf(record: TouchRecord | undefined): number {
  return record ? Math.exp(record.logs / (record.tests + guessTests)) : 1
}

/** Tests of an ink on a paper are kept under this. */
export const touchKey = (family: InkFamily, paper: DryingPaper) => `${family}, ${paper}`

export function addTouch(
  a: Readonly<Record<string, TouchRecord>>,
  b: Readonly<Record<string, TouchRecord>>,
  sign: 1 | -1 = 1,
): Record<string, TouchRecord> {
  const sum: Record<string, TouchRecord> = { ...a }
  for (const [key, { logs, tests }] of Object.entries(b)) {
    const old = sum[key] ?? { logs: 0, tests: 0 }
    const next = { logs: old.logs + sign * logs, tests: old.tests + sign * tests }
    if (next.tests === 0) delete sum[key]
    else sum[key] = next
  }
  return sum
}
