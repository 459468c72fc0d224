import { LRUCache } from 'lru-cache'
import type { EditionState } from '#core/edition/state'
import { streamKind } from '#core/ground/envelope'
import type { StreamState } from '#core/house/streams'

/** A stream as it stands, with the hash its next event follows from. */
export interface CachedState {
  state: StreamState
  hash: string
}

/** Pulls and sheets kept in memory in all; a stream of another kind weighs as five of them. */
const mostWeight = 120_000

function weightOf({ state }: CachedState): number {
  if (streamKind(state.stream) !== 'edition') return 5
  const { pulls, sheets } = state as EditionState
  return 10 + pulls.length + sheets.length
}

/**
 * States by stream, bounded by the pulls and sheets they hold. Only the writer fills it, so that a read that was slow
 * never puts an older state in the place of a newer one; and none is replaced by one of an older `seq`.
 */
export class StateCache {
  private readonly kept = new LRUCache<string, CachedState>({ maxSize: mostWeight, sizeCalculation: weightOf })

  get(stream: string): CachedState | undefined {
    return this.kept.get(stream)
  }

  /** Keep a state; one that is older than what is kept is left aside. */
  keep(standing: CachedState): void {
    const { stream, seq } = standing.state
    const known = this.kept.peek(stream)
    // A stream nobody has written to is not worth keeping: ids come from outside.
    if (seq > 0 && (known === undefined || known.state.seq <= seq)) this.kept.set(stream, standing)
  }

  clear(): void {
    this.kept.clear()
  }

  drop(stream: string): void {
    this.kept.delete(stream)
  }
}
