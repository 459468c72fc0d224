import type { LiveMessage } from './live'
import type { Stream } from './open-stream'

/**
 * What one browser is told, in order and without a gap: events, and stretches of positions of which nothing is for its
 * person. A stretch is said before the next event that is theirs, or with the next beat.
 */
export class Teller {
  private passed: { from: number; to: number } | null = null

  constructor(
    private readonly push: Stream['push'],
    private readonly whose: () => { lineage: string; personId: string },
  ) {}

  tell(told: readonly LiveMessage[]): void {
    for (const { position, text, anew } of told) {
      if (text === null) this.passed = { from: this.passed?.from ?? position, to: position }
      else {
        this.flush()
        this.push('stored', text, String(position))
      }
      if (anew === null) continue
      this.flush()
      this.push('anew', JSON.stringify({ stream: anew, position }), String(position))
    }
  }

  /** Too much was missed: from here on nothing is. */
  reload(position: number): void {
    this.passed = null
    this.push('reload', String(position), String(position))
  }

  /** It is still there, of which ledger, and to whom it speaks. */
  beat(): void {
    this.flush()
    this.push('beat', JSON.stringify(this.whose()), undefined)
  }

  private flush(): void {
    if (!this.passed) return
    const { from, to } = this.passed
    this.passed = null
    this.push('passed', JSON.stringify([from, to]), String(to))
  }
}
