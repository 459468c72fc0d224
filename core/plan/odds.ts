import { betaQuadrature } from './quadrature'

/**
 * Layers printed the same way by the same hands: they share one unknown pass rate p ~ Beta(passed, rejected), and a
 * sheet survives the group with p to the power of its layers.
 */
export interface PassGroup {
  layers: number
  /** a: the guess's share plus pulls that passed. */
  passed: number
  /** b: the guess's share plus pulls that did not. */
  rejected: number
}

/** Above this many sheets we say so instead of a number. */
export const mostSheets = 600

/** The guess a rate starts from: the expected pass rate, worth so many pulls. */
export function guess(rate: number, strength: number): { passed: number, rejected: number } {
  return { passed: rate * strength, rejected: (1 - rate) * strength }
}

/** What a studio starts from before its own pulls say better (MODELS M3). */
export const guesses = {
  press: { rate: 0.92, strength: 25 },
  hand: { rate: 0.80, strength: 25 },
  finishing: { rate: 0.97, strength: 30 },
} as const

/** ln n! for n = 0 … most, by summing; exact enough for 600 sheets and made once. */
function logFactorials(most: number): Float64Array {
  const table = new Float64Array(most + 1)
  for (let n = 1; n <= most; n++) table[n] = table[n - 1]! + Math.log(n)
  return table
}

const logFactorial = logFactorials(mostSheets)

/**
 * For one group, the chance of ending well from n sheets, given the chance of ending well from k survivors:
 * Σ_k P(k survive | n) · after[k], averaged over p.
 */
function throughGroup(group: PassGroup, after: Float64Array, from: number): Float64Array {
  const most = after.length - 1
  // Bin(k; n, p^m) is smooth in p, and the average settles long before the degree n·m at which it is exact.
  const nodeCount = Math.min(Math.ceil((most * group.layers + 1) / 2), 96)
  const { nodes, weights } = betaQuadrature(group.passed, group.rejected, nodeCount)
  const before = new Float64Array(most + 1)
  for (let j = 0; j < nodeCount; j++) {
    const weight = weights[j]!
    if (weight < 1e-18) continue
    const survives = nodes[j]! ** group.layers
    const logP = Math.log(survives)
    const logQ = Math.log1p(-survives)
    for (let n = from; n <= most; n++) {
      let sum = 0
      for (let k = from; k <= n; k++) {
        if (after[k] === 0) continue
        const logged = logFactorial[n]! - logFactorial[k]! - logFactorial[n - k]! + (k === 0 ? 0 : k * logP) + (n === k ? 0 : (n - k) * logQ)
        if (logged > -60) sum += Math.exp(logged) * after[k]!
      }
      before[n]! += weight * sum
    }
  }
  return before
}

/**
 * P(at least `goal` survive every group) for every number of sheets from 0 to `most`, exact up to quadrature.
 * @param groups in the order they follow one another
 * @throws RangeError when `most` is above 600
 */
export function chanceBySheets(groups: readonly PassGroup[], goal: number, most: number): Float64Array {
  if (most > mostSheets) throw new RangeError(`At most ${mostSheets} sheets; ${most} were asked for.`)
  let chance: Float64Array = Float64Array.from({ length: most + 1 }, (_, n) => (n >= goal ? 1 : 0))
  for (const group of [...groups].reverse()) if (group.layers > 0) chance = throughGroup(group, chance, goal)
  return chance
}

/** The chance that `sheets` in the stack still yield `goal` prints. */
export function chanceOf(groups: readonly PassGroup[], goal: number, sheets: number): number {
  if (goal <= 0) return 1
  if (sheets < goal) return 0
  return chanceBySheets(groups, goal, Math.min(sheets, mostSheets)).at(-1)!
}

/** The fewest sheets that reach `goal` with at least `confidence`, or null when more than 600 would be needed. */
export function sheetsToStart(groups: readonly PassGroup[], goal: number, confidence: number): number | null {
  for (let most = Math.min(mostSheets, Math.max(16, goal * 2)); ; most = Math.min(mostSheets, most * 2)) {
    const found = chanceBySheets(groups, goal, most).findIndex((chance, n) => n >= goal && chance >= confidence)
    if (found >= 0) return found
    if (most === mostSheets) return null
  }
}

/**
 * The chance that a stack in several piles, each sheet with its own number of layers still to meet, yields at least
 * `needed` prints. All share one pass rate p; given p the survivors are a sum of independent coins, whose distribution
 * is built sheet by sheet, and the result is averaged over p.
 * @param layersToGo layers still to meet, one entry for each sheet
 */
export function chanceOfStack(rate: Pick<PassGroup, 'passed' | 'rejected'>, layersToGo: readonly number[], needed: number): number {
  if (needed <= 0) return 1
  if (layersToGo.length < needed) return 0
  // Given p the chance is a polynomial in p whose degree is the layers to go in all: half as many nodes are exact.
  const degree = layersToGo.reduce((sum, layers) => sum + layers, 0)
  const { nodes, weights } = betaQuadrature(rate.passed, rate.rejected, Math.min(40, Math.ceil((degree + 1) / 2)))
  let chance = 0
  for (let j = 0; j < nodes.length; j++) {
    // survivors[k] = P(k so far), the last entry gathering everything from `needed` up.
    const survivors = new Float64Array(needed + 1)
    survivors[0] = 1
    for (const layers of layersToGo) {
      const passes = nodes[j]! ** layers
      survivors[needed]! += survivors[needed - 1]! * passes
      for (let k = needed - 1; k > 0; k--) survivors[k] = survivors[k]! * (1 - passes) + survivors[k - 1]! * passes
      survivors[0]! *= 1 - passes
    }
    chance += weights[j]! * survivors[needed]!
  }
  return Math.min(1, chance)
}
