import { LRUCache } from 'lru-cache'

/** A reply as it was written out, and what it was written from. */
interface Written<Body> {
  from: string
  at: number
  body: Body
}

/** So long a reply stands that was written from the same events, ms: what moves beside them is no older. */
const stands = 10_000

/**
 * Replies that are long to write, kept until what they are written from changes. Of several who ask at once one is
 * written.
 */
export class WrittenReplies<Body extends object> {
  private readonly kept: LRUCache<string, Written<Body>>
  private readonly writing = new Map<string, Promise<Body>>()

  /** @param most bytes kept in all */
  constructor(
    most: number,
    bytesOf: (body: Body) => number,
    private readonly clock: () => number = Date.now,
  ) {
    this.kept = new LRUCache({ maxSize: most, sizeCalculation: ({ body }) => Math.max(1, bytesOf(body)) })
  }

  /**
   * @param name what it is a reply of, and to whom
   * @param from what it is written from, in short
   */
  async of(name: string, from: string, write: () => Promise<Body>): Promise<Body> {
    const known = this.kept.get(name)
    if (known && known.from === from && this.clock() - known.at < stands) return known.body
    const key = `${name} ${from}`
    const underWay = this.writing.get(key)
    if (underWay) return await underWay
    const at = this.clock()
    const written = write()
    this.writing.set(key, written)
    try {
      const body = await written
      this.kept.set(name, { from, at, body })
      return body
    } finally {
      this.writing.delete(key)
    }
  }
}
