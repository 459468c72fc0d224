import type { Sheet } from '#core/edition/sheet'
import type { Verdict } from '#core/print/verdicts'

/** How one print lies in the pile, seen from its edge. */
export interface PrintEdge {
  id: number
  /** Settled or in the run that is open; `open` while nobody has looked at it. */
  stands: Verdict | 'open'
  /** What it is set aside for or numbered as, in a few letters. */
  mark: string
}

/** Its number, with the series where that is not the edition, or the series that it is bound for. */
function markWords({ mark, bound }: Sheet): string {
  const seriesWord = (series: string) => (series === 'edition' ? '' : series)
  return mark ? `${seriesWord(mark.series)} ${mark.number}`.trim() : seriesWord(bound)
}

export function edgeOf(sheet: Sheet, said: Verdict | null): PrintEdge {
  return { id: sheet.id, stands: said ?? sheet.curated?.verdict ?? 'open', mark: markWords(sheet) }
}

/** A pile of so many prints: how thick each is drawn and how far apart they lie, px. */
export function pileOf(prints: number, tall: number): { step: number; thick: number } {
  const step = Math.min(14, tall / Math.max(1, prints))
  return { step, thick: Math.max(0.8, step - Math.min(3, step * 0.3)) }
}
