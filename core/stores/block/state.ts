import type { BlockBook } from './book'

export interface BlockState {
  stream: string
  seq: number
  /** Null while nothing was written of it: blocks of old ledgers are known only to their editions. */
  book: BlockBook | null
  /** Editions printed from it, by stream. */
  editions: string[]
  /** Where it is kept once it is done with. */
  kept: { where: string; at: string } | null
  /** Scored, so that no more can be printed from it. */
  cancelled: { reason: string; at: string } | null
}

export function emptyBlock(stream: string): BlockState {
  return { stream, seq: 0, book: null, editions: [], kept: null, cancelled: null }
}
