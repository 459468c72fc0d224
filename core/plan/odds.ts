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

/**
 * Nodes for averaging a binomial of `trials` with chance p^layers over p: its peak in p narrows with the square root of
 * trials · layers, and the nodes must lie closer than that. Half the degree is always enough, being exact.
 */
function nodesFor(trials: number, layers: number): number {
  const degree = trials * layers
  return Math.max(1, Math.min(Math.ceil((degree + 1) / 2), Math.ceil(24 + 4.5 * Math.sqrt(degree))))
}

/** Add `weight` · Binomial(n, q) to `into`, outwards from its peak until nothing is left to add. */
function addBinomial(into: Float64Array, n: number, q: number, weight: number): void {
  if (q <= 0 || q >= 1) {
    into[q <= 0 ? 0 : n]! += weight
    return
  }
  const peak = Math.min(n, Math.floor((n + 1) * q))
  const odds = q / (1 - q)
  const top =
    weight *
    Math.exp(
      logFactorial[n]! -
        logFactorial[peak]! -
        logFactorial[n - peak]! +
        peak * Math.log(q) +
        (n - peak) * Math.log1p(-q),
    )
  const nothing = top * 1e-20
  for (let k = peak, part = top; k <= n && part > nothing; k++) {
    into[k]! += part
    part *= ((n - k) / (k + 1)) * odds
  }
  for (let k = peak - 1, part = (top * peak) / (n - peak + 1) / odds; k >= 0 && part > nothing; k--) {
    into[k]! += part
    part *= k / (n - k + 1) / odds
  }
}

/** ln n! for n = 0 … most, by summing; made once. */
function logFactorials(most: number): Float64Array {
  const table = new Float64Array(most + 1)
  for (let n = 1; n <= most; n++) table[n] = table[n - 1]! + Math.log(n)
  return table
}

/** An edition may hold more sheets than we plan for. */
const logFactorial = logFactorials(5000)

/** P(k survive the group | n start), k = 0 … n, averaged over p. */
function survivors({ layers, passed, rejected }: PassGroup, n: number): Float64Array {
  const chances = new Float64Array(n + 1)
  if (layers === 1) {
    // One layer needs no quadrature: the beta-binomial, by the ratio of neighbours, scaled to add up to 1.
    let sum = 0
    let largest = 0
    let logged = 0
    const logs = new Float64Array(n + 1)
    for (let k = 0; k < n; k++) {
      logged += Math.log((((n - k) / (k + 1)) * (k + passed)) / (n - k - 1 + rejected))
      logs[k + 1] = logged
      if (logged > largest) largest = logged
    }
    for (let k = 0; k <= n; k++) sum += chances[k] = Math.exp(logs[k]! - largest)
    return chances.map((chance) => chance / sum)
  }
  const { nodes, weights } = betaQuadrature(passed, rejected, nodesFor(n, layers))
  for (let j = 0; j < nodes.length; j++)
    if (weights[j]! > 1e-16) addBinomial(chances, n, nodes[j]! ** layers, weights[j]!)
  return chances
}

/**
 * For one group, the chance of ending well from n sheets for every n, given the chance of ending well from k survivors:
 * Σ_k P(k | n) · after[k]. Only the largest n is averaged over p; each smaller one follows by taking one sheet away at
 * random, P(k | n) = P(k | n+1)·(n+1−k)/(n+1) + P(k+1 | n+1)·(k+1)/(n+1), sums of positive numbers and so exact.
 */
function throughGroup(group: PassGroup, after: Float64Array, from: number): Float64Array {
  const most = after.length - 1
  const before = new Float64Array(most + 1)
  const chances = survivors(group, most)
  for (let n = most; n >= from; n--) {
    let sum = 0
    for (let k = from; k <= n; k++) sum += chances[k]! * after[k]!
    before[n] = sum
    for (let k = from; k < n; k++) chances[k] = (chances[k]! * (n - k) + chances[k + 1]! * (k + 1)) / n
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

/** A stack in piles: how many sheets lack no layer, one layer, two … (index = layers still to meet). */
export type Piles = readonly number[]

const sheetsIn = (piles: Piles) => piles.reduce((sum, sheets) => sum + sheets, 0)

/** P(k of the stack survive its layers), k = 0 … sheets. Given p the piles are independent binomials. */
function stackSurvivors({ passed, rejected }: Pick<PassGroup, 'passed' | 'rejected'>, piles: Piles): Float64Array {
  const [done = 0, ...waiting] = piles
  const total = sheetsIn(piles)
  const chances = new Float64Array(total + 1)
  const degree = piles.reduce((sum, sheets, layers) => sum + sheets * layers, 0)
  const { nodes, weights } = betaQuadrature(passed, rejected, nodesFor(degree, 1))
  for (let j = 0; j < nodes.length; j++) {
    if (weights[j]! < 1e-16) continue
    let sofar = new Float64Array(total + 1)
    let reach = done
    sofar[done] = weights[j]!
    waiting.forEach((sheets, i) => {
      if (sheets === 0) return
      const pile = new Float64Array(sheets + 1)
      addBinomial(pile, sheets, nodes[j]! ** (i + 1), 1)
      const next = new Float64Array(total + 1)
      for (let a = done; a <= reach; a++) {
        const part = sofar[a]!
        if (part === 0) continue
        for (let b = 0; b <= sheets; b++) next[a + b]! += part * pile[b]!
      }
      sofar = next
      reach += sheets
    })
    for (let k = 0; k <= total; k++) chances[k]! += sofar[k]!
  }
  return chances
}

/**
 * The chance that a stack in several piles, each sheet with its own number of layers still to meet, yields at least
 * `needed` prints. All layers share one pass rate; finishing, when given, comes after them with its own.
 * @param piles a sheet of the first has only finishing before it
 */
export function chanceOfStack(
  rate: Pick<PassGroup, 'passed' | 'rejected'>,
  piles: Piles,
  needed: number,
  finishing: PassGroup | null = null,
): number {
  if (needed <= 0) return 1
  const sheets = sheetsIn(piles)
  if (sheets < needed) return 0
  const after = finishing
    ? throughGroup(
        finishing,
        Float64Array.from({ length: sheets + 1 }, (_, n) => (n >= needed ? 1 : 0)),
        needed,
      )
    : new Float64Array(sheets + 1).fill(1, needed)
  const chances = stackSurvivors(rate, piles)
  let chance = 0
  for (let k = needed; k <= sheets; k++) chance += chances[k]! * after[k]!
  return Math.min(1, chance)
}
