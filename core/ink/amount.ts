/**
 * How much ink (MODELS M4). Film in µm, areas in mm², density in g/cm³, masses in g: 1 µm · 1 mm² = 10⁻⁶ cm³.
 */
export interface InkGuess {
  /** Film on the print, µm. */
  film: number
  density: number
  /** Film that stays on roller and slab at every wash-up, µm. */
  held: number
  /** Share added for handling. */
  loss: number
}

/** Starting guesses; the shop's own records replace them. */
export const inkGuesses: { press: InkGuess, hand: InkGuess } = {
  press: { film: 8, density: 1.1, held: 20, loss: 0.1 },
  hand: { film: 10, density: 1.1, held: 20, loss: 0.1 },
}

export const perCubicCentimetre = 1e-6

/** Grams of ink one impression takes: film × block area × inked share × density. */
export function gramsAnImpression(blockArea: number, inkedShare: number, film: number, density: number): number {
  return film * blockArea * inkedShare * perCubicCentimetre * density
}
