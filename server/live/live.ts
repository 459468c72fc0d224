import type { Sequelize } from 'sequelize'
import type { LedgerEvent } from '#core/ground/envelope'
import { eventsAfter } from '../database/events'

/** An event as it travels to every tab: written out once, however many there are. */
export interface Told {
  position: number
  text: string
}

type Listener = (told: Told[]) => void

const tell = (event: LedgerEvent): Told => ({ position: event.position, text: JSON.stringify(event) })

/** Most events replayed to one tab; beyond that reloading is quicker than catching up. */
export const mostReplayed = 2000

/** Sends stored events to every open tab, in ledger order. */
export class Live {
  private readonly listeners = new Set<Listener>()

  constructor(private readonly db: Sequelize) {}

  publish(events: LedgerEvent[]): void {
    if (this.listeners.size === 0) return
    const told = events.map(tell)
    for (const listener of this.listeners) listener(told)
  }

  /**
   * Everything after a position, then everything new, without gap or repeat.
   * @param after position the tab has seen
   * @returns what ends the subscription, or null when too much was missed
   */
  async follow(after: number, listener: Listener): Promise<(() => void) | null> {
    let sent = after
    let caughtUp = false
    const early: Told[] = []
    const forward = (told: Told[]) => {
      const fresh = told.filter(({ position }) => position > sent)
      if (fresh.length === 0) return
      sent = fresh.at(-1)!.position
      listener(fresh)
    }
    const receive: Listener = (told) => (caughtUp ? forward(told) : void early.push(...told))
    this.listeners.add(receive)
    const missed = await eventsAfter(this.db, after, mostReplayed + 1)
    if (missed.length > mostReplayed) {
      this.listeners.delete(receive)
      return null
    }
    forward(missed.map(tell))
    caughtUp = true
    forward(early)
    return () => void this.listeners.delete(receive)
  }

  /** Tell nobody any more: the server stops. */
  close(): void {
    this.listeners.clear()
  }
}
