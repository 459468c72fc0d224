import type { Gift } from './state'

/** Numbers from 0 to 1 that follow from a text alone, so that a draw can be done again by anybody (FNV-1a, Mulberry32). */
function chanceFrom(text: string): () => number {
  let state = 0x811c9dc5
  for (const letter of text) state = Math.imul(state ^ letter.codePointAt(0)!, 0x01000193)
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/**
 * A fair draw in which nobody gets their own: all are laid in a ring in random order (Fisher and Yates), and each gives
 * to the next ones round it. Everyone gives and gets the same number, from and to different others, and every other is
 * equally likely.
 * @param ids those who exchange, 2 or more
 * @param each prints that each gives, 1 to one fewer than they are
 * @param seed a text that nobody chose: the command's id
 */
export function drawExchange(ids: readonly string[], each: number, seed: string): Gift[] {
  if (each < 1 || each > ids.length - 1)
    throw new RangeError(`Of ${ids.length}, each can give 1 to ${ids.length - 1} prints; ${each} was asked.`)
  const ring = [...ids].sort()
  const chance = chanceFrom(seed)
  for (let i = ring.length - 1; i > 0; i--) {
    const j = Math.floor(chance() * (i + 1))
    ;[ring[i], ring[j]] = [ring[j]!, ring[i]!]
  }
  return ring.flatMap((from, i) =>
    Array.from({ length: each }, (_, step) => ({ from, to: ring[(i + 1 + step) % ring.length]! })),
  )
}
