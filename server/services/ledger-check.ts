import { instantAt } from '#core/time/instant'
import { setTimeout as pause } from 'node:timers/promises'
import type { CheckReply } from '#shared/replies/replies'
import { breaksIn } from '../database/breaks'
import type { Connections } from '../database/connections'
import { HeadFile } from '../database/heads'
import type { Ledger } from './ledger'

/** How long the check rests between pages, ms: taps go before. */
const rest = 4

/** Looks through the whole ledger in the background, one look at a time, and says how far it has come. */
export class LedgerCheck {
  private last: Omit<CheckReply, 'reach'> = {
    isRunning: false,
    looked: 0,
    of: 0,
    startedAt: null,
    finishedAt: null,
    breaks: [],
  }
  private stopped = false

  constructor(
    private readonly db: Connections,
    private readonly ledger: Ledger,
    private readonly folder: string,
  ) {}

  get state(): CheckReply {
    return { ...this.last, reach: this.ledger.reach }
  }

  /** Begin a look, or go on with the one that runs. */
  start(): CheckReply {
    if (this.last.isRunning) return this.state
    const of = this.ledger.position
    this.last = { isRunning: true, looked: 0, of, startedAt: now(), finishedAt: null, breaks: [] }
    void this.look().catch((error: unknown) => {
      console.error('The check of the ledger could not be finished:', error)
      this.last = { ...this.last, isRunning: false }
    })
    return this.state
  }

  stop(): void {
    this.stopped = true
  }

  private async look(): Promise<void> {
    // Said before the look begins: what is written meanwhile is found beyond it.
    const kept = HeadFile.read(this.folder)
    const looking = breaksIn(this.db.long, kept)
    for (;;) {
      const { value, done } = await looking.next()
      this.last = { ...this.last, looked: value.events, of: Math.max(this.last.of, value.events), breaks: value.breaks }
      if (this.stopped) return
      if (done) break
      await pause(rest)
    }
    this.last = { ...this.last, isRunning: false, finishedAt: now() }
  }
}

const now = () => instantAt(Date.now())
