/** What a product of decimals may miss of a half cent that it is. */
const aHair = 1e-7

/**
 * An amount in whole cents, halves to the even cent (models.md, M18), so that many small lines drift neither way.
 * @param amount in the room's currency; below 0 is a credit
 */
export function wholeCents(amount: number): number {
  const cents = Math.abs(amount) * 100
  const floor = Math.floor(cents + aHair)
  const over = cents - floor
  const isHalf = Math.abs(over - 0.5) < aHair
  const rounded = isHalf ? floor + (floor % 2) : over > 0.5 ? floor + 1 : floor
  return amount < 0 && rounded > 0 ? -rounded : rounded
}

/**
 * Whole cents parted by weight, so that the parts add up to the whole exactly: each its share rounded down, and the cents
 * left over to the largest remainders, the first of equals first.
 * @param weights 0 or more, not all 0
 * @example
 * partedCents(100, [1, 1, 1]) // [34, 33, 33]
 */
export function partedCents(cents: number, weights: readonly number[]): number[] {
  const sum = weights.reduce((a, b) => a + b, 0)
  const exact = weights.map((weight) => (Math.abs(cents) * weight) / sum)
  const parts = exact.map(Math.floor)
  const left = Math.abs(cents) - parts.reduce((a, b) => a + b, 0)
  const order = exact.map((share, i) => ({ i, rest: share - parts[i]! })).sort((a, b) => b.rest - a.rest || a.i - b.i)
  for (const { i } of order.slice(0, Math.round(left))) parts[i]! += 1
  return cents < 0 ? parts.map((part) => (part === 0 ? 0 : -part)) : parts
}
