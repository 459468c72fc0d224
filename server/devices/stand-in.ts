/** What every simulated device has: those who hear it, a beat while somebody does, and a waver that is the same on every start. */
export abstract class StandIn<Reading> {
  readonly simulated = true
  private readonly listeners = new Set<(reading: Reading) => void>()
  private timer: ReturnType<typeof setInterval> | null = null

  /** @param every ms between two readings, @param seed of its waver */
  protected constructor(
    private readonly every: number,
    private seed: number,
  ) {}

  /** What it shows now. */
  abstract reading(): Reading

  /** Hear every reading. @returns what ends it */
  follow(listener: (reading: Reading) => void): () => void {
    this.listeners.add(listener)
    listener(this.reading())
    this.timer ??= setInterval(() => this.tell(), this.every)
    return () => {
      this.listeners.delete(listener)
      if (this.listeners.size > 0 || !this.timer) return
      clearInterval(this.timer)
      this.timer = null
    }
  }

  protected tell(): void {
    const reading = this.reading()
    for (const listener of this.listeners) listener(reading)
  }

  /** To either side by at most so much: Park and Miller's generator. */
  protected waver(noise: number): number {
    this.seed = (this.seed * 48_271) % 2_147_483_647
    return (this.seed / 2_147_483_647 - 0.5) * 2 * noise
  }
}
