/** An edition that was printed from the same blocks before. */
export interface EarlierEdition {
  editionId: string
  title: string
  /** Signed prints of it, of every series, that were not destroyed. */
  signed: number
  closedAt: string
}

/** An edition that was begun from the same blocks afterwards. */
export interface LaterEdition {
  editionId: string
  title: string
  startedAt: string
}

const ordinals = ['second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']

/** What the next edition from the same blocks is called, so that nobody takes it for the first: “Tide Gauge, second edition”. */
export function titleAgain(title: string, earlier: number): string {
  const first = title.replace(/, \S+ edition$/, '')
  return `${first}, ${ordinals[earlier] ?? `${earlier + 2}th`} edition`
}
