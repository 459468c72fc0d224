import { IsBoolean, IsIn, IsInt, IsNumber, Max, Min } from 'class-validator'
import { OrNull, Part, Words } from '../ground/shape'
import { IsDay } from '../ground/written'
import { type LineCustom, lineCustoms } from '../print/pencil-line'
import {
  isOpenWork,
  type OrderSchool,
  orderSchools,
  type ProofSeries,
  type SizeSchool,
  sizeSchools,
} from '../print/series'
import { planDefaults } from './defaults'
import { StatedRate, type Work, works } from './work'

/** How colour is made. */
export type Method = 'single' | 'reduction' | 'several blocks' | 'jigsaw' | 'blended roll'
export const methods: readonly Method[] = ['single', 'reduction', 'several blocks', 'jigsaw', 'blended roll']

/** As it is said of a print. */
export const methodWord = (method: Method): string => (method === 'single' ? 'single colour' : method)

/** Whether every layer is planned before the first, or each decided after the last. */
export type Layering = 'ahead' | 'as one goes'
export const layerings: readonly Layering[] = ['ahead', 'as one goes']

/** What time and ink are reckoned at, in the studio's currency. */
export class Rates {
  /** Price of a gram of ink. */
  @IsNumber() @Min(0) @Max(10_000) inkGram!: number
  @IsNumber() @Min(0) @Max(10_000) pressHour!: number
  @IsNumber() @Min(0) @Max(10_000) labourHour!: number
  @IsNumber() @Min(0) @Max(600) minutesPerPull!: number
}

/** The confidences offered for the number of sheets to start. */
export const confidences = [0.8, 0.9, 0.95] as const

/** How many proofs of each kind are promised beside the edition. */
export class ProofsPromised implements Record<ProofSeries, number> {
  @IsInt() @Min(0) @Max(500) AP!: number
  @IsInt() @Min(0) @Max(500) PP!: number
  @IsInt() @Min(0) @Max(500) HC!: number
}

export class EditionPlan {
  static readonly sample: EditionPlan = {
    ...planDefaults,
    method: 'single',
    size: 4,
    sizeSchool: 'declared',
    orderSchool: 'curated',
    proofs: { AP: 1, PP: 0, HC: 0 },
    line: 'number-title-signature',
    year: 2026,
    numerals: 'roman',
    artist: 'Ansa Quill',
    due: null,
  }

  @IsIn(methods) method!: Method
  @IsIn(works) work!: Work
  /** Coloured by hand after the press. */
  @IsBoolean() colouring!: boolean
  @IsIn(layerings) layering!: Layering
  /** Layers reckoned with; more may be added as one goes. */
  @IsInt() @Min(1) @Max(40) layersPlanned!: number
  /** The printer's own guess at the share of pulls that pass, or null for the usual one. */
  @OrNull() @Part(() => StatedRate) expected!: StatedRate | null
  /** The same for finishing: curating, colouring, signing. */
  @OrNull() @Part(() => StatedRate) finishing!: StatedRate | null
  /** How sure the goal is to be reached, 0 to 1. */
  @IsNumber() @Min(0.5) @Max(0.999) confidence!: number
  /** Sheets the printer decided to start, or null while undecided. */
  @OrNull() @IsInt() @Min(1) @Max(5000) start!: number | null
  @Part(() => Rates) rates!: Rates
  /** Prints wanted in the numbered edition (a wish when the school is `counted` or `open`). */
  @IsInt() @Min(1) @Max(2000) size!: number
  @IsIn(sizeSchools) sizeSchool!: SizeSchool
  @IsIn(orderSchools) orderSchool!: OrderSchool
  /** Proofs promised beside the edition. */
  @Part(() => ProofsPromised) proofs!: ProofsPromised
  @IsIn(lineCustoms) line!: LineCustom
  /** Year pencilled after the signature, or null for none. */
  @OrNull() @IsInt() @Min(1400) @Max(2400) year!: number | null
  @IsIn(['roman', 'arabic']) numerals!: 'roman' | 'arabic'
  /** Who signs; free text, since a printer need not be the artist. */
  @Words(80) artist!: string
  /** Delivery date, ISO date, or null. */
  @OrNull() @IsDay() due!: string | null
}

/**
 * Good prints the printer must reach: the edition and the proofs promised; none in open work.
 * @example
 * goal({ size: 20, sizeSchool: 'declared', proofs: { AP: 2, PP: 1, HC: 0 } }) // 23
 */
export function goal(plan: Pick<EditionPlan, 'size' | 'proofs' | 'sizeSchool'>): number {
  if (isOpenWork(plan)) return 0
  return plan.size + plan.proofs.AP + plan.proofs.PP + plan.proofs.HC
}

/** A tenth of the edition, at least one, is the usual ceiling for artist's proofs; we warn and never forbid. */
export function artistProofWarning(plan: EditionPlan): string | null {
  const ceiling = Math.max(1, Math.floor(plan.size / 10))
  if (plan.proofs.AP <= ceiling) return null
  return `${plan.proofs.AP} artist’s proofs for an edition of ${plan.size} is above the usual tenth (${ceiling}). Nothing stops you.`
}
