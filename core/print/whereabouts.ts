import { IsIn } from 'class-validator'
import { Words } from '../ground/shape'
import { IsDay } from '../ground/written'

/** How a print leaves the room. */
export type Leaving = 'sold' | 'given' | 'exchanged' | 'in a portfolio' | 'deposited' | 'in the archive' | 'on loan'
export const leavings: readonly Leaving[] = [
  'sold',
  'given',
  'exchanged',
  'in a portfolio',
  'deposited',
  'in the archive',
  'on loan',
]

/** Where a print went: one line. */
export class Gone {
  @IsIn(leavings) how!: Leaving
  /** To whom or where, as one wishes to keep it; it stays in the ledger for good. */
  @Words(120) to!: string
  /** The day, for instance 2026-11-26. */
  @IsDay() on!: string
  @Words(500) note!: string
}
