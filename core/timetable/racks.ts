import type { Span } from './spans'

/** Sheets that lie in the racks from one moment to another. */
export interface Lying extends Span {
  sheets: number
}

/** What a run lays in: from its beginning until its sheets can be taken out. */
export const laidBy = ({ sheets, dries }: { sheets: number; dries: number }, { from, to }: Span): Lying => ({
  from,
  to: to + dries,
  sheets,
})

/** Places to dry, shared by all that is printed. */
export interface Racks {
  /** Pieces they hold; null where none are described: then there is room for all. */
  slots: number | null
  /** What lies there already, until it is dry. */
  lying: readonly Lying[]
}

/** Racks as a timetable fills them: sheets are laid in as they are pulled, and taken out when they are dry. */
export class FillingRacks {
  /** In order of time; what is taken out makes room for what is laid in at the same moment. */
  private readonly steps: { at: number; by: number }[] = []

  constructor(private readonly racks: Racks) {
    for (const one of racks.lying) this.lay(one)
  }

  lay({ from, to, sheets }: Lying): void {
    if (sheets === 0 || this.racks.slots === null) return
    this.step(from, sheets)
    this.step(to, -sheets)
  }

  private step(at: number, by: number): void {
    const behind = this.steps.findIndex((one) => one.at > at || (one.at === at && one.by > by))
    this.steps.splice(behind < 0 ? this.steps.length : behind, 0, { at, by })
  }

  /** Spans in which so many more do not fit. More than the racks hold at all need them all. */
  full(sheets: number): Span[] {
    const { slots } = this.racks
    if (slots === null || sheets === 0) return []
    const most = slots - Math.min(sheets, slots)
    const found: Span[] = []
    let lying = 0
    let from: number | null = null
    for (const { at, by } of this.steps) {
      lying += by
      if (lying > most) from ??= at
      else if (from !== null) {
        if (at > from) found.push({ from, to: at })
        from = null
      }
    }
    return found
  }

  /** The first moment, not before `earliest`, from which so many fit for so long. */
  roomFrom(earliest: number, minutes: number, sheets: number): number {
    let start = earliest
    for (const { from, to } of this.full(sheets)) {
      if (to <= start) continue
      if (from >= start + minutes) break
      start = to
    }
    return start
  }
}
