/** Pulls that the pace is read from: eight intervals. */
export const pacePulls = 9

/**
 * Minutes a pull takes, from when the last pulls happened (models.md, M11): of the last eight intervals those over three
 * times their median are pauses; the median of the rest.
 * @param times when each pull happened, milliseconds, in order
 * @returns minutes, or null with fewer than two pulls
 */
export function pace(times: readonly number[]): number | null {
  return paceOver(times.slice(-pacePulls))
}

/** The same over all of them: how fast a run was, for runs to be held side by side. */
export function paceOver(times: readonly number[]): number | null {
  const intervals = times
    .slice(1)
    .map((time, i) => time - times[i]!)
    .filter((gap) => gap > 0)
  if (intervals.length === 0) return null
  const usual = median(intervals)
  return median(intervals.filter((gap) => gap <= 3 * usual)) / 60_000
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length >> 1
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}
