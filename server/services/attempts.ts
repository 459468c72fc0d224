import { LRUCache } from 'lru-cache'

/** Who tries, from where, and whether that person signed in at that device before. */
export interface Attempt {
  personId: string
  address: string
  /** The device, when it is known to this person. */
  knownDevice: string | null
}

interface Misses {
  count: number
  /** Until when nothing is tried, by our clock. */
  until: number
  /** When the first of them was. */
  since: number
}

interface Limit {
  /** Misses before anyone waits. */
  free: number
  /** The first wait; each miss more doubles it. */
  first: number
  longest: number
  /** After so long without a miss all is forgotten. */
  forgets: number
}

const minute = 60_000
const aPerson: Limit = { free: 5, first: 5_000, longest: 15 * minute, forgets: 24 * 60 * minute }
const anAddress: Limit = { free: 30, first: 5_000, longest: 15 * minute, forgets: 60 * minute }
const everyone: Limit = { free: 300, first: 1_000, longest: 5 * minute, forgets: 60 * minute }

/**
 * Slows guessing. An attempt is counted before it is tried, so that a thousand at once are still a thousand, and one at a
 * time is tried for a person. A device that a person signed in at before has a count of its own: strangers who guess
 * cannot keep her out of it. Time is that of a clock that nobody sets.
 */
export class Attempts {
  private readonly misses = new LRUCache<string, Misses>({ max: 20_000 })
  private readonly trying = new Set<string>()

  constructor(private readonly clock: () => number = () => performance.now()) {}

  /**
   * Begin one attempt.
   * @returns seconds to wait when none may be made now, else what is to be told how it ended
   */
  begin({ personId, address, knownDevice }: Attempt): { wait: number } | { end: (hit: boolean) => void } {
    const own = `person ${personId} ${knownDevice ?? ''}`
    const limits: [string, Limit][] = [[own, aPerson]]
    if (knownDevice === null) limits.push([`address ${address}`, anAddress], ['everyone', everyone])
    const now = this.clock()
    const until = Math.max(...limits.map(([key]) => this.misses.get(key)?.until ?? 0))
    if (until > now) return { wait: Math.ceil((until - now) / 1000) }
    if (this.trying.has(own)) return { wait: 1 }
    this.trying.add(own)
    for (const [key, limit] of limits) this.count(key, limit, now)
    return {
      end: (hit) => {
        this.trying.delete(own)
        // What was counted beforehand was no miss: the person's own are forgotten, the others' have one less.
        if (!hit) return
        this.misses.delete(own)
        for (const [key] of limits.slice(1)) this.takeBack(key)
      },
    }
  }

  private count(key: string, { free, first, longest, forgets }: Limit, now: number): void {
    const before = this.misses.get(key)
    const known = before && now - before.since < forgets ? before : { count: 0, since: now }
    const count = known.count + 1
    const pause = count < free ? 0 : Math.min(longest, first * 2 ** (count - free))
    this.misses.set(key, { count, until: now + pause, since: pause > 0 ? now : known.since })
  }

  private takeBack(key: string): void {
    const known = this.misses.get(key)
    if (known) this.misses.set(key, { ...known, count: known.count - 1, until: 0 })
  }
}
