import type { SentEvent } from '#core/ground/envelope'
import type { Reading } from '#shared/replies/reading'

interface Options<Data> {
  ask: () => Promise<Reading<Data>>
  /** Whether what is read may change with an event. */
  concerns: (event: Pick<SentEvent, 'stream'>, shown: Reading<Data> | null) => boolean
  show: (reading: Reading<Data>) => void
  /** What was shown is of another person, ledger or question. */
  clear: () => void
  fail: (error: unknown) => void
  /** True when asking again by itself may help: the server is away or stumbled. */
  passes: (error: unknown) => boolean
}

/** Asked at most once in so long, and for no more than a tenth of the time: a dear reply is asked for more seldom. ms. */
const least = 1_000
const most = 10_000
const share = 10
const longestPause = 30_000

/**
 * A reply that the server works out, kept as new as what it depends on. A reading says how far the ledger had come; an event
 * that is no newer is in it already and asks for nothing.
 */
export class AskedReading<Data> {
  private shown: Reading<Data> | null = null
  /** The reading must hold everything up to here. */
  private wanted = 0
  private asking = false
  private urgent = false
  /** Time has moved what is shown, though nothing has changed. */
  private isOld = false
  private rest = 0
  private failures = 0
  private restsUntil = 0
  /** Answers to what was asked in an earlier age are of something else. */
  private age = 0
  private isOver = false
  /** Refused: asking again brings the same answer until something has changed. */
  private isRefused = false
  private timer: ReturnType<typeof setTimeout> | undefined

  constructor(private readonly options: Options<Data>) {}

  private get isDue(): boolean {
    return !this.isRefused && (this.isOld || this.shown === null || this.shown.position < this.wanted)
  }

  /** @param isOwn true for the person's own act, which is shown without waiting */
  heard(event: Pick<SentEvent, 'stream' | 'position'>, isOwn = false): void {
    if (!this.options.concerns(event, this.shown)) return
    this.need(event.position, isOwn)
  }

  /** What is shown must hold everything up to a position: too much was missed to say what changed. */
  need(position: number, isUrgent = false): void {
    if (position > this.wanted) {
      this.wanted = position
      this.isRefused = false
    }
    if (isUrgent && this.isDue) this.urgent = true
    this.plan()
  }

  /** The way to the server is there again. */
  connected(): void {
    if (this.failures === 0) return
    this.restsUntil = 0
    this.plan()
  }

  /** Something else is asked now, or by somebody else. */
  anew(): void {
    this.age += 1
    this.asking = false
    this.shown = null
    this.wanted = 0
    this.failures = 0
    this.restsUntil = 0
    this.isRefused = false
    this.options.clear()
    this.plan()
  }

  /** However new it is, once more: time itself has moved it. */
  again(): void {
    this.isOld = true
    this.isRefused = false
    this.plan()
  }

  stop(): void {
    this.isOver = true
    clearTimeout(this.timer)
  }

  plan(): void {
    clearTimeout(this.timer)
    if (this.isOver || this.asking || !this.isDue) return
    const wait = this.urgent && this.failures === 0 ? 0 : Math.max(0, this.restsUntil - Date.now())
    // At once in this turn: the first question must not wait for a timer.
    if (wait === 0) return void this.ask()
    this.timer = setTimeout(() => void this.ask(), wait)
  }

  private async ask(): Promise<void> {
    const { age } = this
    const began = Date.now()
    this.asking = true
    this.urgent = this.isOld = false
    try {
      const reading = await this.options.ask()
      if (age !== this.age || this.isOver) return
      this.failures = 0
      this.rest = Math.min(most, Math.max(least, share * (Date.now() - began)))
      if (!this.shown || reading.position >= this.shown.position) {
        this.shown = reading
        this.options.show(reading)
      }
    } catch (error) {
      if (age !== this.age || this.isOver) return
      this.failures += 1
      this.rest = Math.min(longestPause, least * 2 ** this.failures * (0.5 + Math.random()))
      this.isRefused = !this.options.passes(error)
      this.options.fail(error)
    }
    this.asking = false
    this.restsUntil = began + this.rest
    this.plan()
  }
}
