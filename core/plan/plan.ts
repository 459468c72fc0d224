import type { LineCustom } from '../print/pencil-line'
import { isOpenWork, type OrderSchool, type ProofSeries, type SizeSchool } from '../print/series'
import type { StatedRate, Work } from './work'

/** How colour is made. */
export type Method = 'single' | 'reduction' | 'several blocks' | 'jigsaw' | 'blended roll'
export const methods: readonly Method[] = ['single', 'reduction', 'several blocks', 'jigsaw', 'blended roll']

/** As it is said of a print. */
export const methodWord = (method: Method): string => (method === 'single' ? 'single colour' : method)

/** Whether every layer is planned before the first, or each decided after the last. */
export type Layering = 'ahead' | 'as one goes'
export const layerings: readonly Layering[] = ['ahead', 'as one goes']

/** What time and ink are reckoned at, in the studio's currency. */
export interface Rates {
  /** Price of a gram of ink. */
  inkGram: number
  pressHour: number
  labourHour: number
  minutesPerPull: number
}

export const noRates: Rates = { inkGram: 0, pressHour: 0, labourHour: 0, minutesPerPull: 4 }

/** The confidences offered for the number of sheets to start. */
export const confidences = [0.8, 0.9, 0.95] as const

export interface EditionPlan {
  method: Method
  work: Work
  /** Coloured by hand after the press. */
  colouring: boolean
  layering: Layering
  /** Layers reckoned with; more may be added as one goes. */
  layersPlanned: number
  /** The printer's own guess at the share of pulls that pass, or null for the usual one. */
  expected: StatedRate | null
  /** The same for finishing: curating, colouring, signing. */
  finishing: StatedRate | null
  /** How sure the goal is to be reached, 0 to 1. */
  confidence: number
  /** Sheets the printer decided to start, or null while undecided. */
  start: number | null
  rates: Rates
  /** Prints wanted in the numbered edition (a wish when the school is `counted` or `open`). */
  size: number
  sizeSchool: SizeSchool
  orderSchool: OrderSchool
  /** Proofs promised beside the edition. */
  proofs: Record<ProofSeries, number>
  line: LineCustom
  /** Year pencilled after the signature, or null for none. */
  year: number | null
  numerals: 'roman' | 'arabic'
  /** Who signs; free text, since a printer need not be the artist. */
  artist: string
  /** Delivery date, ISO date, or null. */
  due: string | null
}

/** What plans were made of before they said how sheets to start were reckoned. */
export const planDefaults: Pick<
  EditionPlan,
  'work' | 'colouring' | 'layering' | 'layersPlanned' | 'expected' | 'finishing' | 'confidence' | 'start' | 'rates'
> = {
  work: 'press',
  colouring: false,
  layering: 'as one goes',
  layersPlanned: 1,
  expected: null,
  finishing: null,
  confidence: 0.9,
  start: null,
  rates: noRates,
}

/** Good prints the printer must reach: the edition and the proofs promised; none in open work. */
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
