/** What the room may run out of. */
export type StockKind = 'paper' | 'ink' | 'packing'

/** One thing in the store, with what is wanted of it and how fast it goes. */
export interface StockAsked {
  kind: StockKind
  id: string
  maker: string
  name: string
  /** Sheets, grams or pieces. */
  unit: string
  /** Free: what is put aside or lies in a press is not there. */
  left: number
  /** What the editions that are planned will still take, by what they are. */
  wanted: { title: string; amount: number }[]
  /** What went in so many weeks past. */
  used: number
}

/** One line of an order: how much, and why. */
export interface OrderLine extends StockAsked {
  order: number
  /** What is to lie there beside, at the pace at which it went. */
  reserve: number
}

/** Weeks that use is looked back over, and those that a reserve should last. */
export const weeksBack = 12
export const weeksReserve = 4

/**
 * What to order: what the editions want and a reserve of four weeks, less what is left; whole units. What is neither wanted
 * nor short is left out.
 */
export function orderLines(stock: readonly StockAsked[]): OrderLine[] {
  return stock.flatMap((one) => {
    const reserve = Math.ceil((one.used * weeksReserve) / weeksBack)
    const wanted = one.wanted.reduce((sum, { amount }) => sum + amount, 0)
    const order = Math.ceil(wanted + reserve - one.left)
    return order > 0 ? [{ ...one, order, reserve }] : []
  })
}

/** The lines of one maker, to be sent to them. */
export interface MakersOrder {
  maker: string
  lines: OrderLine[]
}

/** By maker, those without one at the end. */
export function byMaker(lines: readonly OrderLine[]): MakersOrder[] {
  const found = new Map<string, OrderLine[]>()
  for (const line of lines) found.set(line.maker.trim(), [...(found.get(line.maker.trim()) ?? []), line])
  return [...found]
    .map(([maker, those]) => ({ maker, lines: those.sort((a, b) => a.name.localeCompare(b.name)) }))
    .sort((a, b) => Number(a.maker === '') - Number(b.maker === '') || a.maker.localeCompare(b.maker))
}
