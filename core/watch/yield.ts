/** The share of good pulls, with the range it most likely lies in. */
export interface Yield {
  good: number
  of: number
  share: number
  low: number
  high: number
}

/** Standard normal quantile for 95 % two-sided. */
const z = 1.959963984540054

/**
 * Yield with its Wilson 95 % interval (models.md, M11), which stays inside 0 to 1 and is honest for few pulls.
 * @param good pulls that are good
 * @param of pulls judged
 * @returns null while nothing was pulled
 */
export function yieldOf(good: number, of: number): Yield | null {
  if (of <= 0) return null
  const share = good / of
  const spread = z * Math.sqrt((share * (1 - share) + (z * z) / (4 * of)) / of)
  const scale = 1 + (z * z) / of
  const centre = share + (z * z) / (2 * of)
  return {
    good,
    of,
    share,
    low: good === 0 ? 0 : Math.max(0, (centre - spread) / scale),
    high: good === of ? 1 : Math.min(1, (centre + spread) / scale),
  }
}
