import type { BetaRate } from './odds'

/** P(k of n pass), k = 0 … n, averaged over p: the beta-binomial, by the ratio of neighbours, scaled to add up to 1. */
function betaBinomial({ passed, rejected }: BetaRate, n: number): Float64Array {
  const logs = new Float64Array(n + 1)
  for (let k = 0; k < n; k++)
    logs[k + 1] = logs[k]! + Math.log((((n - k) / (k + 1)) * (k + passed)) / (n - k - 1 + rejected))
  const largest = Math.max(...logs)
  const chances = logs.map((log) => Math.exp(log - largest))
  const sum = chances.reduce((total, chance) => total + chance, 0)
  return chances.map((chance) => chance / sum)
}

/**
 * P(at least `needed` come through finishing) by the prints that reach it, 0 … most. Only the largest number is summed
 * outright; each smaller one follows by taking one print away at random,
 * P(k | n) = P(k | n+1)·(n+1−k)/(n+1) + P(k+1 | n+1)·(k+1)/(n+1), sums of positive numbers and so exact.
 * @param rate null when nothing is lost in finishing
 */
export function finishingChances(rate: BetaRate | null, needed: number, most: number): Float64Array {
  const chances = new Float64Array(most + 1)
  const least = Math.max(0, needed)
  if (rate === null || least === 0) return least > most ? chances : chances.fill(1, least)
  const survivors = betaBinomial(rate, most)
  for (let n = most; n >= least; n--) {
    let sum = 0
    for (let k = least; k <= n; k++) sum += survivors[k]!
    chances[n] = sum
    for (let k = least; k < n; k++) survivors[k] = (survivors[k]! * (n - k) + survivors[k + 1]! * (k + 1)) / n
  }
  return chances
}
