import type { BetaRate } from './odds'

/**
 * P(at least so many good of n), the pass rate being ~ Beta(passed, rejected): the beta-binomial's tail, by the ratio of
 * one term to the next, from ln P(0) = Σ ln((b + i)/(a + b + i)).
 * @param needed good ones wanted; 0 or fewer are certain
 * @example
 * chanceOfGood(3, 3, { passed: 1, rejected: 1 }) // 0.25
 */
export function chanceOfGood(needed: number, n: number, { passed: a, rejected: b }: BetaRate): number {
  if (needed <= 0) return 1
  if (needed > n) return 0
  const terms = new Float64Array(n + 1)
  let log = 0
  for (let i = 0; i < n; i++) log += Math.log((b + i) / (a + b + i))
  for (let k = 0; k <= n; k++) {
    terms[k] = Math.exp(log)
    log += Math.log((n - k) / (k + 1)) + Math.log((a + k) / (b + n - k - 1))
  }
  // The shorter end is summed, so that nothing is lost against 1.
  let below = 0
  let above = 0
  for (let k = 0; k <= n; k++) {
    if (k < needed) below += terms[k]!
    else above += terms[k]!
  }
  return below < above ? 1 - below : above
}
