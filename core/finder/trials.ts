/** What of a pull settles a trial. */
export interface JudgedPull {
  faults: readonly string[]
}

export type TrialOutcome = 'worked' | 'did not' | 'open'

/** A share of faulty pulls below this is taken for it, so that a fault seen once can be settled at all. */
const leastShare = 0.1

/**
 * Free pulls in a row after which a remedy is said to have worked: the least k with (1 − r)^k ≤ 0.2.
 * @param share of the last ten pulls that had the fault
 */
export function freePullsAsked(share: number): number {
  const r = Math.min(0.99, Math.max(leastShare, share))
  return Math.max(1, Math.ceil(Math.log(0.2) / Math.log(1 - r) - 1e-9))
}

/**
 * How a trial ended (models.md, M16): worked once the next k judged pulls of the layer are free of the fault, did not as soon as
 * one of them has it; open while neither is seen, which counts for nothing.
 * @param before judged pulls of the layer before the remedy, oldest first; @param after those since, oldest first
 */
export function trialOutcome(fault: string, before: readonly JudgedPull[], after: readonly JudgedPull[]): TrialOutcome {
  const lately = before.slice(-10)
  const share = lately.length === 0 ? 0 : lately.filter(({ faults }) => faults.includes(fault)).length / lately.length
  const asked = freePullsAsked(share)
  const next = after.slice(0, asked)
  if (next.some(({ faults }) => faults.includes(fault))) return 'did not'
  return next.length === asked ? 'worked' : 'open'
}
