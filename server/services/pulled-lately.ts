import type { LedgerEvent } from '#core/ground/envelope'
import type { Sequelize } from 'sequelize'
import { lastPulls } from '../database/over-events'

/** Events looked through when the room opens: more than a room stores in the hours that are asked about. */
const looked = 50_000

/**
 * When each edition's last pull was stored, by the server's own clock: which editions are at the presses must not hang
 * on the clock of a tablet.
 */
export class PulledLately {
  private readonly last = new Map<string, string>()

  async load(db: Sequelize, position: number): Promise<void> {
    const found = await lastPulls(db, position - looked)
    for (const { stream, at } of found) this.last.set(stream, at)
  }

  /** Events as a commit stored them. */
  take(events: readonly LedgerEvent[]): void {
    for (const { stream, type, recordedAt } of events) if (type === 'pulled') this.last.set(stream, recordedAt)
  }

  /** Ids of the editions pulled since, the newest pull first. @param since ms */
  since(since: number): string[] {
    return [...this.last]
      .filter(([, at]) => Date.parse(at) > since)
      .sort(([, a], [, b]) => b.localeCompare(a))
      .map(([stream]) => stream.slice('edition:'.length))
  }
}
