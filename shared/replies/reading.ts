/** What the server said, with how far the ledger had come at least: whoever shows it follows from there. */
export interface Reading<Data> {
  position: number
  data: Data
  /** Kinds of stream, or streams, that it follows from for whoever asked, where those are fewer than for others. */
  on?: readonly string[]
}

/** Streams of one kind, the one that changed last first, and the key to go on after; null at their end. */
export interface Page<State> {
  states: State[]
  next: string | null
}

/** Kinds whose streams are small: each is read whole, by pages. */
export const pagedKinds = ['lot', 'batch', 'block', 'tub', 'press', 'rack', 'station', 'course', 'account'] as const
