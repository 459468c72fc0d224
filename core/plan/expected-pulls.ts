import type { BetaRate, Course } from './odds'

/** E[p^j] for p ~ Beta(a, b), j = 0 … most: Π (a + i)/(a + b + i). */
function moments({ passed, rejected }: BetaRate, most: number): number[] {
  const found = [1]
  for (let i = 0; i < most; i++) found.push((found[i]! * (passed + i)) / (passed + rejected + i))
  return found
}

/** What is to be expected of a stack (models.md, M3), on the mean. */
export interface Expected {
  /** Sheets that each layer will be pulled on, in order. */
  pulls: number[]
  /** Good prints that come of it after finishing. */
  good: number
}

/**
 * The mean of the sheets that reach each layer, and of the good prints. Every pile passes the layers before it with a power
 * of one unknown rate; what proofs take is gone from then on.
 */
export function expected({ rate, layers, printed, finishing }: Course): Expected {
  const powers = moments(rate, layers.length)
  const reaching = (layer: number) =>
    layers
      .slice(0, layer)
      .reduce(
        (sum, { waiting, proofs }, i) => sum + (waiting - proofs) * powers[layer - i]!,
        layers[layer]?.waiting ?? printed,
      )
  const pulls = layers.map(({ proofs }, i) => Math.max(0, reaching(i) - proofs))
  const finished = finishing ? finishing.passed / (finishing.passed + finishing.rejected) : 1
  return { pulls, good: Math.max(0, reaching(layers.length)) * finished }
}
