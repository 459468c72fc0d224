/** Streams one sign-in may hold open: a browser needs one of events and one of a scale. */
const mostOpen = 6

/** The streams that are open, by sign-in. */
export class Streams {
  private readonly open = new Map<string, number>()
  private readonly enders = new Set<{ signInId: string; end: () => void }>()

  /** Count one more. @returns what counts it off, or null when the sign-in has enough */
  enter(signInId: string): (() => void) | null {
    const count = this.open.get(signInId) ?? 0
    if (count >= mostOpen) return null
    this.open.set(signInId, count + 1)
    return () => {
      const now = this.open.get(signInId)! - 1
      if (now > 0) this.open.set(signInId, now)
      else this.open.delete(signInId)
    }
  }

  /** Register what ends an open stream. @returns what forgets it */
  onEnd(signInId: string, end: () => void): () => void {
    const entry = { signInId, end }
    this.enders.add(entry)
    return () => void this.enders.delete(entry)
  }

  /** End those of sign-ins that are over. */
  endOver(isOpen: (signInId: string) => boolean): void {
    for (const { signInId, end } of [...this.enders]) if (!isOpen(signInId)) end()
  }

  /** End all: the server stops. */
  close(): void {
    for (const { end } of [...this.enders]) end()
  }

  /** How many are open. */
  get size(): number {
    return this.enders.size
  }
}
