/** Prints outside the numbered edition that carry their own mark. */
export type ProofSeries = 'AP' | 'PP' | 'HC'
export const proofSeries: readonly ProofSeries[] = ['AP', 'PP', 'HC']

export type Series = 'edition' | ProofSeries
export const allSeries: readonly Series[] = ['edition', ...proofSeries]

/** Where a print goes: the edition, a series of proofs, or a drawer that is no part of either. */
export type Bound = Series | 'archive'
export const allBounds: readonly Bound[] = [...allSeries, 'archive']

/** A print's place in its series. */
export interface Mark {
  series: Series
  number: number
}

/** When the size of the edition is known; of open work (cloth, cards, wrapping) there is none, and no edition. */
export type SizeSchool = 'declared' | 'counted' | 'open' | 'varied' | 'open work'
export const sizeSchools: readonly SizeSchool[] = ['declared', 'counted', 'open', 'varied', 'open work']

/**
 * True for cloth, cards, wrapping: no goal, nothing curated, numbered or signed; a piece takes as many impressions as it
 * likes, in any order, and counts once.
 */
export const isOpenWork = (plan: { sizeSchool: SizeSchool } | null): boolean => plan?.sizeSchool === 'open work'

/** Which print gets number 1. */
export type OrderSchool = 'pulled' | 'curated' | 'best' | 'hand'
export const orderSchools: readonly OrderSchool[] = ['pulled', 'curated', 'best', 'hand']
