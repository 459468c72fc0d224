/** What a sheet takes at one step of one way of printing it. Money in the studio's currency. */
export interface StepTaken {
  /** Price of its paper. */
  piece: number
  /** Ink of one pull. */
  ink: number
  /** Minutes a pull takes. */
  minutes: number
  /** What an hour of the press and of the printer cost. */
  hour: number
}

/**
 * What a sheet that comes out good costs at a step: what every pull takes, over the share of them that are good.
 * @param share of pulls that are good, 0 to 1
 * @returns money, or null when none was good
 */
export function costOfGoodSheet({ piece, ink, minutes, hour }: StepTaken, share: number): number | null {
  return share > 0 ? (piece + ink + (minutes / 60) * hour) / share : null
}
