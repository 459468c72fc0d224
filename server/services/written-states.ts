import { LRUCache } from 'lru-cache'

/**
 * States written out as JSON, each kept until its stream moves on: a large edition is long to write, and asked for again
 * and again while it stands still.
 */
export class WrittenStates {
  private readonly kept: LRUCache<string, { seq: number; bytes: Buffer }>

  /** @param most bytes kept in all */
  constructor(most: number) {
    this.kept = new LRUCache({ maxSize: most, sizeCalculation: ({ bytes }) => Math.max(1, bytes.length) })
  }

  /** @param name the stream, and to whom it is written */
  of(name: string, state: { seq: number }): Buffer {
    const known = this.kept.get(name)
    if (known?.seq === state.seq) return known.bytes
    const bytes = Buffer.from(JSON.stringify(state))
    this.kept.set(name, { seq: state.seq, bytes })
    return bytes
  }
}
