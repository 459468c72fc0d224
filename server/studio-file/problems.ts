/** Told one by one up to here; a file with more is broken as a whole. */
const mostTold = 200

/** Everything that is wrong with a file, in the order it was found. */
export class Problems {
  readonly told: string[] = []
  count = 0
  private readonly said = new Set<string>()

  tell(what: string): void {
    this.count += 1
    if (this.told.length < mostTold) this.told.push(what)
  }

  /** Told once, wherever it is found again: where it begins says enough. */
  once(what: string): void {
    const kind = what.slice(what.indexOf(':'))
    if (this.said.has(kind)) return
    this.said.add(kind)
    this.tell(what)
  }
}
