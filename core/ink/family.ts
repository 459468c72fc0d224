/** Ink families by how they dry and what cleans them. */
export type InkFamily = 'oil' | 'water-washable oil' | 'water-based' | 'rubber-based' | 'other'
export const inkFamilies: readonly InkFamily[] = ['oil', 'water-washable oil', 'water-based', 'rubber-based', 'other']
