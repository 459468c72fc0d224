/** Prints outside the numbered edition that carry their own mark. */
export type ProofSeries = 'AP' | 'PP' | 'HC'
export const proofSeries: readonly ProofSeries[] = ['AP', 'PP', 'HC']

export type Series = 'edition' | ProofSeries
export const allSeries: readonly Series[] = ['edition', ...proofSeries]

/** A print's place in its series. */
export interface Mark {
  series: Series
  number: number
}

/** When the size of the edition is known. */
export type SizeSchool = 'declared' | 'counted' | 'open' | 'varied'
export const sizeSchools: readonly SizeSchool[] = ['declared', 'counted', 'open', 'varied']

/** Which print gets number 1. */
export type OrderSchool = 'pulled' | 'curated' | 'best' | 'hand'
export const orderSchools: readonly OrderSchool[] = ['pulled', 'curated', 'best', 'hand']
