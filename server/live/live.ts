import type { Sequelize } from 'sequelize'
import type { LedgerEvent } from '#core/ground/envelope'
import { eventsAfter } from '../database/events'

type Listener = (events: LedgerEvent[]) => void

/** Most events replayed to one tab; beyond that reloading is quicker than catching up. */
export const mostReplayed = 2000

/** Sends stored events to every open tab, in ledger order. */
export class Live {
  private readonly listeners = new Set<Listener>()
  private readonly enders = new Set<() => void>()

  constructor(private readonly db: Sequelize) {}

  publish(events: LedgerEvent[]): void {
    for (const listener of this.listeners) listener(events)
  }

  /**
   * Everything after a position, then everything new, without gap or repeat.
   * @param after position the tab has seen
   * @returns what ends the subscription, or null when too much was missed
   */
  async follow(after: number, listener: Listener): Promise<(() => void) | null> {
    let sent = after
    let caughtUp = false
    const early: LedgerEvent[] = []
    const forward = (events: LedgerEvent[]) => {
      const fresh = events.filter((event) => event.position > sent)
      if (fresh.length === 0) return
      sent = fresh.at(-1)!.position
      listener(fresh)
    }
    const receive: Listener = (events) => (caughtUp ? forward(events) : void early.push(...events))
    this.listeners.add(receive)
    const missed = await eventsAfter(this.db, after, mostReplayed + 1)
    if (missed.length > mostReplayed) {
      this.listeners.delete(receive)
      return null
    }
    forward(missed)
    caughtUp = true
    forward(early)
    return () => void this.listeners.delete(receive)
  }

  /** Register what ends an open stream, so that the server can stop without waiting for its tabs. */
  onClose(end: () => void): () => void {
    this.enders.add(end)
    return () => void this.enders.delete(end)
  }

  close(): void {
    for (const end of this.enders) end()
    this.listeners.clear()
  }
}
