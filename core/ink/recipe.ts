/**
 * Recipes by weight (models.md, M5). Fractions are of the whole mix and add up to 1; weights are in any one unit.
 */

/** How far shares may miss 1 and still be taken as rounding. */
const rounding = 1e-6

/**
 * Parts, percents or grams as fractions of the whole. @throws RangeError when they hold nothing or less than nothing
 * @example
 * fractionsOf([3, 1]) // [0.75, 0.25]
 */
export function fractionsOf(amounts: readonly number[]): number[] {
  if (amounts.some((amount) => !(amount >= 0))) throw new RangeError('A share is zero or more.')
  const whole = amounts.reduce((sum, amount) => sum + amount, 0)
  if (!(whole > 0)) throw new RangeError('A recipe needs at least one share above zero.')
  return amounts.map((amount) => amount / whole)
}

/** True when percents add up to a hundred, but for rounding to a tenth each. */
export function fillsHundred(percents: readonly number[]): boolean {
  return (
    Math.abs(percents.reduce((sum, percent) => sum + percent, 0) - 100) <=
    0.05 * Math.max(1, percents.length) + rounding
  )
}

/**
 * Whole milligrams of each component that add up to exactly the whole; the largest remainders are rounded up.
 * @example
 * weightsOf([0.75, 0.25], 1001) // [751, 250]
 */
export function weightsOf(fractions: readonly number[], milligrams: number): number[] {
  const exact = fractions.map((fraction) => fraction * milligrams)
  const down = exact.map(Math.floor)
  const missing = Math.round(milligrams) - down.reduce((sum, weight) => sum + weight, 0)
  const byRemainder = exact
    .map((weight, i) => ({ i, rest: weight - down[i]! }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i)
  for (const { i } of byRemainder.slice(0, missing)) down[i]! += 1
  return down
}

/** What to add so that a mix that holds too much of one component comes out right again. */
export type Correction = { total: number; add: number[] } | { uncorrectable: number[] }

/**
 * The least additions after an over-pour; nothing can be taken out again. A left-over that is topped up is the same, with
 * what it holds as what is poured.
 * @param poured weight of each component in the mix
 * @param fractions wanted share of each, adding up to 1
 * @param total weight wanted in all
 * @returns the new whole and what to add of each, or the components that do not belong in the mix at all
 * @throws RangeError when shares do not add up to 1 or a weight is below zero
 */
export function correct(poured: readonly number[], fractions: readonly number[], total: number): Correction {
  if (poured.some((weight) => !(weight >= 0))) throw new RangeError('A poured weight is zero or more.')
  if (Math.abs(fractions.reduce((sum, fraction) => sum + fraction, 0) - 1) > rounding)
    throw new RangeError('The shares of a recipe add up to the whole.')
  const uncorrectable = poured.flatMap((weight, i) => (weight > 0 && !(fractions[i]! > 0) ? [i] : []))
  if (uncorrectable.length > 0) return { uncorrectable }
  const whole = poured.reduce(
    (most, weight, i) => (fractions[i]! > 0 ? Math.max(most, weight / fractions[i]!) : most),
    total,
  )
  // A component that decides the whole is right as it is; the quotient may miss it by a last digit.
  return { total: whole, add: fractions.map((fraction, i) => Math.max(0, clean(fraction * whole - poured[i]!, whole))) }
}

const clean = (value: number, whole: number) => (Math.abs(value) < whole * 1e-12 ? 0 : value)

/**
 * What a batch still holds of each component: what was used took its share of every one along.
 * @param weights of the components as they were mixed, @param left weight of the whole now
 * @returns whole units in the order given
 */
export function heldOf(weights: readonly number[], left: number): number[] {
  const whole = weights.reduce((sum, weight) => sum + weight, 0)
  return weights.map((weight) => (whole === 0 ? 0 : Math.round((weight / whole) * left)))
}
