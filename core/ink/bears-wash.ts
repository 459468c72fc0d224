import type { InkFamily } from './family'

/** What a wet brush may do to a printed ink, as is usual; the label and a scrap of the same print decide. */
const doubts: Partial<Record<InkFamily, string>> = {
  'water-based': 'Water-based ink may lift under a wet brush, long after it is dry.',
  'water-washable oil':
    'Oil ink that washes with water may soften under a wet brush until it has hardened right through.',
  'rubber-based': 'Rubber-based ink stays open for long and may smear under a brush.',
}

/** Doubts whether a print bears hand colouring, one sentence a family of ink that is on it. */
export function washDoubts(families: readonly InkFamily[]): string[] {
  return [...new Set(families)].flatMap((family) => doubts[family] ?? [])
}
