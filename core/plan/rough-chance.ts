import type { BetaRate, Course } from './odds'
import { betaQuadrature } from './quadrature'

/** P(Z > z) for a standard normal Z, by the complementary error function (Abramowitz and Stegun 7.1.26 as refined by Numerical Recipes erfcc). */
function upperTail(z: number): number {
  const x = Math.abs(z) / Math.SQRT2
  const t = 1 / (1 + x / 2)
  const terms = [
    -1.26551223, 1.00002368, 0.37409196, 0.09678418, -0.18628806, 0.27886807, -1.13520398, 1.48851587, -0.82215223,
    0.17087277,
  ]
  const series = terms.reduceRight((sum, term) => term + t * sum, 0)
  const tail = (t * Math.exp(-x * x + series)) / 2
  return z >= 0 ? tail : 1 - tail
}

/** Enough to follow a rate through its whole spread: the tail changes over a hundredth of p or more. */
const fine = 120

/** Rates it may be, and how likely each is. */
function ratesOf(rate: BetaRate | null, nodes: number): { p: number; weight: number }[] {
  if (rate === null) return [{ p: 1, weight: 1 }]
  const found = betaQuadrature(rate.passed, rate.rejected, nodes)
  return Array.from(found.nodes, (p, i) => ({ p, weight: found.weights[i]! })).filter(({ weight }) => weight > 1e-9)
}

/** Mean, variance and third cumulant of how many sheets there are. */
type Cumulants = readonly [mean: number, variance: number, third: number]

/** Of those, each passes with chance p: what comes through. */
const thinned = ([mean, variance, third]: Cumulants, p: number): Cumulants => [
  p * mean,
  p * p * variance + p * (1 - p) * mean,
  p ** 3 * third + 3 * p * p * (1 - p) * variance + p * (1 - p) * (1 - 2 * p) * mean,
]

/** P(at least `needed`), the normal tail with the first term of Edgeworth for its lean. */
function atLeast(needed: number, [mean, variance, third]: Cumulants): number {
  const spread = Math.sqrt(variance)
  if (spread < 1e-6) return mean >= needed - 0.5 ? 1 : 0
  const z = (needed - 0.5 - mean) / spread
  const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)
  return Math.min(1, Math.max(0, upperTail(z) + (density * (z * z - 1) * third) / (6 * spread ** 3)))
}

/**
 * The chance of many sheets, whose number that comes through is nearly normal for a known rate: its tail, averaged over the
 * rates of the layers and of finishing. Within a tenth of a point of the exact sum from 600 sheets on.
 * @param nodes rates the average is taken over
 */
export function roughChance({ rate, layers, printed, finishing, needed }: Course, nodes = fine): number {
  const finished = ratesOf(finishing, nodes)
  let chance = 0
  for (const { p, weight } of ratesOf(rate, nodes)) {
    let sheets: Cumulants = [layers[0]?.waiting ?? printed, 0, 0]
    layers.forEach(({ proofs }, i) => {
      const [mean, ...spread] = sheets
      const [passed, ...wider] = thinned([Math.max(0, mean - proofs), ...spread], p)
      sheets = [passed + (layers[i + 1]?.waiting ?? printed), ...wider]
    })
    for (const end of finished) chance += weight * end.weight * atLeast(needed, thinned(sheets, end.p))
  }
  return chance
}
