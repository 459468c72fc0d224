import type { LedgerEvent } from '#core/ground/envelope'
import { beLed, type Leadership } from './leader'

/** What the tab that follows the server passes on to the others, and what they ask of it. */
type Told =
  | { what: 'stored'; event: LedgerEvent }
  | { what: 'beat'; position: number }
  | { what: 'reload'; position: number }
  | { what: 'lost' }
  | { what: 'from'; position: number }

/** What a tab hears, wherever it comes from. */
export interface Heard {
  /** In order, without gap or repeat. */
  stored: (event: LedgerEvent) => void
  /** Too much was missed: fetch afresh; from here on nothing is. */
  reload: () => void
  /** The way to the server is there, or is not. */
  connected: (isConnected: boolean) => void
}

const soonest = 1_000
const latest = 30_000
/** The server is heard every fifteen seconds at least. */
const silentAfter = 40_000
/** Events kept for tabs that come later or missed some. */
const mostKept = 1_000
const name = 'ample-tally-live'

/**
 * One stream of stored events for all tabs of a browser, since a browser allows six connections to a server and each stream
 * takes one: the tab that leads follows the server and passes on what it hears.
 */
export class SharedStream {
  private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(name)
  private leadership: Leadership | null = null
  private source: EventSource | null = null
  private readonly kept: LedgerEvent[] = []
  private retry: ReturnType<typeof setTimeout> | undefined
  private silence: ReturnType<typeof setTimeout> | undefined
  private pause = soonest
  private isHeard = false
  /** Position of the newest event this tab has heard. */
  position = 0

  constructor(private readonly heard: Heard) {
    if (this.channel) this.channel.onmessage = ({ data }: MessageEvent<Told>) => this.hear(data)
    if (typeof window === 'undefined') return
    // A page put aside by the browser must not lead; brought back, it goes on.
    window.addEventListener('pagehide', () => this.close())
    window.addEventListener('pageshow', ({ persisted }) => persisted && this.follow(this.position))
  }

  /** Hear everything after a position; a tab that hears already goes on where it is. */
  follow(from: number): void {
    this.position = Math.max(this.position, from)
    if (this.leadership) return
    this.leadership = beLed(name, { lead: () => this.lead() })
    this.tell({ what: 'from', position: this.position })
    this.wait()
  }

  close(): void {
    this.leadership?.leave()
    this.leadership = null
    this.end()
    clearTimeout(this.silence)
    this.heard.connected(false)
  }

  private tell(told: Told): void {
    this.channel?.postMessage(told)
  }

  private lead(): () => void {
    this.open()
    return () => this.end()
  }

  private end(): void {
    clearTimeout(this.retry)
    this.source?.close()
    this.source = null
    this.isHeard = false
  }

  private open(): void {
    const source = new EventSource(`/api/live?after=${this.position}`)
    this.source = source
    const beat = () => {
      this.isHeard = true
      this.pause = soonest
      this.take({ what: 'beat', position: this.position })
    }
    source.addEventListener('open', beat)
    source.addEventListener('beat', beat)
    source.addEventListener('stored', (message) =>
      this.take({ what: 'stored', event: JSON.parse((message as MessageEvent<string>).data) as LedgerEvent }),
    )
    source.addEventListener('reload', (message) =>
      this.take({ what: 'reload', position: Number((message as MessageEvent<string>).data) }),
    )
    source.addEventListener('error', () => this.reopen())
  }

  /** What the server said: heard here, passed on. */
  private take(told: Told): void {
    this.hear(told)
    if (told.what === 'stored') {
      this.kept.push(told.event)
      if (this.kept.length > mostKept) this.kept.shift()
    }
    this.tell(told)
  }

  /** The browser's own reconnection gives up on some failures; ours does not, and many browsers do not come at once. */
  private reopen(): void {
    this.source?.close()
    this.source = null
    this.isHeard = false
    this.take({ what: 'lost' })
    clearTimeout(this.retry)
    this.retry = setTimeout(() => this.open(), this.pause * (0.5 + Math.random()))
    this.pause = Math.min(latest, this.pause * 2)
  }

  private hear(told: Told): void {
    if (told.what === 'from') return this.pass(told.position)
    // A tab that does not follow yet has nothing to go on from.
    if (!this.leadership) return
    if (told.what === 'lost') return this.heard.connected(false)
    this.wait()
    this.heard.connected(true)
    if (told.what === 'stored') this.hearEvent(told.event)
    else if (told.what === 'reload') this.start(told.position)
    else if (told.position > this.position) this.tell({ what: 'from', position: this.position })
  }

  private hearEvent(event: LedgerEvent): void {
    if (event.position <= this.position) return
    // Positions have no gaps: one here means that this tab missed what another heard.
    if (event.position > this.position + 1 && !this.source) return this.tell({ what: 'from', position: this.position })
    this.position = event.position
    this.heard.stored(event)
  }

  private start(position: number): void {
    if (position <= this.position && !this.source) return
    this.position = position
    this.heard.reload()
  }

  /** Asked by another tab: what it missed, when it is still kept here. */
  private pass(after: number): void {
    if (!this.source) return
    if (after < this.position) this.passMissed(after)
    // A tab that comes need not wait for the server to be heard again.
    if (this.isHeard) this.tell({ what: 'beat', position: this.position })
  }

  private passMissed(after: number): void {
    const missed = this.kept.filter(({ position }) => position > after)
    if (missed[0]?.position === after + 1) for (const event of missed) this.tell({ what: 'stored', event })
    else this.tell({ what: 'reload', position: this.position })
  }

  /** Nothing heard for long: the tab that leads sleeps or is stuck, so this one leads. */
  private wait(): void {
    clearTimeout(this.silence)
    this.silence = setTimeout(() => {
      this.heard.connected(false)
      if (this.source) this.reopen()
      else this.leadership?.take()
      this.wait()
    }, silentAfter)
  }
}
