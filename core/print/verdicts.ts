/** What a printer says of a pull at once. */
export type Verdict = 'good' | 'doubtful' | 'reject'
export const verdicts: readonly Verdict[] = ['good', 'doubtful', 'reject']

/** What a pull was for. Warm-up, ghost and practice pulls never count against the yield. */
export type PullKind = 'warm-up' | 'proof' | 'pull' | 'ghost' | 'practice'
export const pullKinds: readonly PullKind[] = ['warm-up', 'proof', 'pull', 'ghost', 'practice']

/** Working or trial, state, colour trial, progressive. */
export type ProofKind = 'WP' | 'SP' | 'CTP' | 'progressive'
export const proofKinds: readonly ProofKind[] = ['WP', 'SP', 'CTP', 'progressive']

/** A pull saved after a poor first meeting: still one pull. */
export type Rescue = 're-inked' | 'burnished'
export const rescues: readonly Rescue[] = ['re-inked', 'burnished']

/** What was changed between two pulls; a small tick under the tally. */
export type AdjustmentKind =
  'ink-more' | 'ink-less' | 'pressure-more' | 'pressure-less' | 'packing' | 'fresh-ink' | 'washed' | 'cleared'
export const adjustmentKinds: readonly AdjustmentKind[] = [
  'ink-more',
  'ink-less',
  'pressure-more',
  'pressure-less',
  'packing',
  'fresh-ink',
  'washed',
  'cleared',
]

const adjustmentWords: Record<AdjustmentKind, string> = {
  'ink-more': 'one more ink pass',
  'ink-less': 'one ink pass fewer',
  'pressure-more': 'more pressure',
  'pressure-less': 'less pressure',
  packing: 'packing changed',
  'fresh-ink': 'ink laid afresh',
  washed: 'block washed',
  cleared: 'block cleared further',
}

export function adjustmentWord(kind: AdjustmentKind): string {
  return adjustmentWords[kind] ?? kind
}

const rank: Record<Verdict, number> = { good: 0, doubtful: 1, reject: 2 }

/**
 * The harshest of several verdicts; `good` when there are none.
 * @example
 * worst(['good', 'doubtful']) // 'doubtful'
 */
export function worst(given: readonly Verdict[]): Verdict {
  return given.reduce<Verdict>((a, b) => (rank[b] > rank[a] ? b : a), 'good')
}
