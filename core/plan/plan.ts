/** How colour is made. */
export type Method = 'single' | 'reduction' | 'several blocks' | 'jigsaw' | 'blended roll'
export const methods: readonly Method[] = ['single', 'reduction', 'several blocks', 'jigsaw', 'blended roll']

/** When the size of the edition is known. */
export type SizeSchool = 'declared' | 'counted' | 'open' | 'varied'
export const sizeSchools: readonly SizeSchool[] = ['declared', 'counted', 'open', 'varied']

/** Which print gets number 1. */
export type OrderSchool = 'pulled' | 'curated' | 'best' | 'hand'
export const orderSchools: readonly OrderSchool[] = ['pulled', 'curated', 'best', 'hand']

/** The custom in which the pencilled line is laid out below the image. */
export type LineCustom = 'number-title-signature' | 'title-number-signature' | 'number-signature'
export const lineCustoms: readonly LineCustom[] = ['number-title-signature', 'title-number-signature', 'number-signature']

/** Prints outside the numbered edition that carry their own mark. */
export type ProofSeries = 'AP' | 'PP' | 'HC'
export const proofSeries: readonly ProofSeries[] = ['AP', 'PP', 'HC']

export type Series = 'edition' | ProofSeries
export const allSeries: readonly Series[] = ['edition', ...proofSeries]

export interface EditionPlan {
  method: Method
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

/** Good prints the printer must reach: the edition and the proofs promised. */
export function goal(plan: EditionPlan): number {
  return plan.size + plan.proofs.AP + plan.proofs.PP + plan.proofs.HC
}

/** A tenth of the edition, at least one, is the usual ceiling for artist's proofs; we warn and never forbid. */
export function artistProofWarning(plan: EditionPlan): string | null {
  const ceiling = Math.max(1, Math.floor(plan.size / 10))
  if (plan.proofs.AP <= ceiling) return null
  return `${plan.proofs.AP} artist’s proofs for an edition of ${plan.size} is above the usual tenth (${ceiling}). Nothing stops you.`
}
