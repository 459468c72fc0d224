/** Minutes that are reckoned with until the room has shown its own: guesses of the craft. */
export const guesses = {
  /** A block drawn, cut and proofed. */
  block: 480,
  /** The same block cut to its next state. */
  cutFurther: 180,
  /** Setting tear bars and fetching paper, and one sheet. */
  tearing: { begin: 15, sheet: 1.5 },
  /** A layer's first setting: ink charged, register found; and a later session of the same layer. */
  setUp: { first: 40, again: 15 },
  /** Roller, slab and block washed, the press left. */
  washUp: 20,
  /** One proof looked at and answered. */
  proof: 10,
  /** A print, at the table. */
  lay: 4,
  colour: 6,
  step: 1.5,
  curate: 1,
  sign: 1,
} as const

/** Longer nobody stands at a press or a table in one go, minutes. */
export const longestSession = 300

/** Minutes by the clock between two colours laid by hand, and under weights after the last. */
export const waits = { colour: 60, flatten: 24 * 60 } as const
