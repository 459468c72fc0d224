import type { BatchState } from './batch/state'
import type { LotState } from './lot/state'
import type { TubState } from './tub/state'

/** One line of what is on the shelves. `left` is in `unit`; `price` is for one of it, or empty where none is known. */
export interface StockLine {
  kind: 'paper' | 'ink' | 'mixed ink'
  name: string
  maker: string
  left: number
  unit: 'sheets' | 'g'
  price: number | ''
  kept: string
}

export const stockColumns = [
  'kind',
  'name',
  'maker',
  'left',
  'unit',
  'price',
  'kept',
] as const satisfies readonly (keyof StockLine)[]

const inGrams = (milligrams: number) => Math.round(milligrams / 100) / 10

type Lot = Pick<LotState, 'name' | 'maker' | 'left' | 'price' | 'keptAt'>
type Tub = Pick<TubState, 'name' | 'maker' | 'left' | 'price' | 'keptAt'>
type Batch = Pick<BatchState, 'name' | 'left'>

/** Paper, ink in tubs and ink that is mixed, as the book has them: below zero where more was taken than it knew of. */
export function stockLines(lots: readonly Lot[], tubs: readonly Tub[], batches: readonly Batch[]): StockLine[] {
  return [
    ...lots.map(({ name, maker, left, price, keptAt }): StockLine => ({
      kind: 'paper',
      name,
      maker,
      left,
      unit: 'sheets',
      price,
      kept: keptAt,
    })),
    ...tubs.map(({ name, maker, left, price, keptAt }): StockLine => ({
      kind: 'ink',
      name,
      maker,
      left: inGrams(left),
      unit: 'g',
      price,
      kept: keptAt,
    })),
    ...batches.map(({ name, left }): StockLine => ({
      kind: 'mixed ink',
      name,
      maker: '',
      left: inGrams(left),
      unit: 'g',
      price: '',
      kept: '',
    })),
  ]
}
