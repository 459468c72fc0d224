/** What an edition costs (models.md, M15). Money in the studio's currency. */
export interface CostTerms {
  /** Price of one torn piece. */
  piece: number
  /** Ink one pull takes, g, and its price a gram. */
  inkGrams: number
  inkGram: number
  /** Minutes a pull takes, and what an hour of the press and of the printer cost. */
  minutesPerPull: number
  pressHour: number
  labourHour: number
  layers: number
}

export interface Cost {
  total: number
  perGoodPrint: number
}

/** Ink, press and labour of one pull. */
export function costOfPull(terms: CostTerms): number {
  return terms.inkGrams * terms.inkGram + (terms.minutesPerPull / 60) * (terms.pressHour + terms.labourHour)
}

/**
 * (sheets × price + pulls × what a pull costs) / good prints.
 * @param pulls pulls made in all, rejects among them
 */
export function costOf(terms: CostTerms, sheets: number, pulls: number, good: number): Cost {
  const total = sheets * terms.piece + pulls * costOfPull(terms)
  return { total, perGoodPrint: good > 0 ? total / good : Number.NaN }
}

/** What is lost with a sheet spoiled at layer 1, 2 …: its paper and every pull it has had. */
export function lostAtLayer(terms: CostTerms): number[] {
  return Array.from({ length: terms.layers }, (_, i) => terms.piece + (i + 1) * costOfPull(terms))
}
