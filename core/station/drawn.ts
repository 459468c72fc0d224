/** Ink or paper that somebody took out of the stores: from which tub, batch or lot, and how much (mg, or sheets). */
export interface Draw {
  stream: string
  amount: number
}

/** Streams of stores that give ink by weight, and paper by the sheet. */
const byWeight = /^(tub|batch):/

/**
 * What was drawn, one line for each tub, batch and lot, in the order first drawn from.
 * @param nameOf what a store's stream is called in the room
 */
export function drawnWords(draws: readonly Draw[], nameOf: (stream: string) => string): string[] {
  const sums = new Map<string, number>()
  for (const { stream, amount } of draws) sums.set(stream, (sums.get(stream) ?? 0) + amount)
  return [...sums].map(([stream, amount]) =>
    byWeight.test(stream)
      ? `${(amount / 1000).toFixed(1)} g of ${nameOf(stream)}`
      : `${amount} ${amount === 1 ? 'sheet' : 'sheets'} of ${nameOf(stream)}`,
  )
}
