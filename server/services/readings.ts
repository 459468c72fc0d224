/** Readings one sign-in has under way at once; its others wait their turn. */
const atOnceEach = 2
/** Readings under way at once in all. */
const atOnce = 4
/** Readings one sign-in may have waiting. */
const mostWaiting = 60
/** How long a reading stands back for taps at most, ms. */
const standsBack = 400

interface Waiting {
  who: string
  since: number
  go: (end: () => void) => void
}

/**
 * Taps go first. A reading of a large edition keeps the server for tens of milliseconds, and six of them side by side kept
 * a pull waiting for more than a second: so each sign-in reads a little at a time, all of them together only so much, and
 * none begins while a tap is on its way, unless it has waited long.
 */
export class Readings {
  private readonly waiting: Waiting[] = []
  private readonly under = new Map<string, number>()
  private running = 0
  private taps = 0
  private timer: ReturnType<typeof setTimeout> | null = null

  constructor(private readonly clock: () => number = () => performance.now()) {}

  /** A tap comes in. @returns what says that it was answered */
  tap(): () => void {
    this.taps += 1
    let isOver = false
    return () => {
      if (isOver) return
      isOver = true
      this.taps -= 1
      this.look()
    }
  }

  /**
   * Wait for one's turn to read.
   * @returns what ends it, or null when so many wait that no more are taken
   */
  begin(who: string): Promise<() => void> | null {
    if (this.waiting.filter((one) => one.who === who).length >= mostWaiting) return null
    return new Promise((go) => {
      this.waiting.push({ who, since: this.clock(), go })
      this.look()
    })
  }

  private look(): void {
    while (this.running < atOnce) {
      const now = this.clock()
      const mayGo = ({ who, since }: Waiting) =>
        (this.under.get(who) ?? 0) < atOnceEach && (this.taps === 0 || now - since >= standsBack)
      const next = this.waiting.findIndex(mayGo)
      if (next < 0) break
      this.start(this.waiting.splice(next, 1)[0]!)
    }
    if (this.waiting.length > 0 && this.taps > 0) this.timer ??= setTimeout(() => this.again(), standsBack / 4)
  }

  private again(): void {
    this.timer = null
    this.look()
  }

  private start({ who, go }: Waiting): void {
    this.running += 1
    this.under.set(who, (this.under.get(who) ?? 0) + 1)
    let isOver = false
    go(() => {
      if (isOver) return
      isOver = true
      this.running -= 1
      const left = this.under.get(who)! - 1
      if (left > 0) this.under.set(who, left)
      else this.under.delete(who)
      this.look()
    })
  }
}
