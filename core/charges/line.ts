import type { When } from '../ground/envelope'

export type ChargeKind = 'paper' | 'ink' | 'press' | 'other' | 'correction'
export const chargeKinds: readonly ChargeKind[] = ['paper', 'ink', 'press', 'other', 'correction']

/** One thing that somebody used, and what it comes to. */
export interface ChargeLine extends When {
  personId: string
  /** The edition it was for, or null where it was for none. */
  editionStream: string | null
  kind: ChargeKind
  what: string
  /** In whole cents; below 0 is a credit. */
  cents: number
  /** Reckoned from pulls and pace, since nobody opened a session. */
  isReckoned: boolean
  /** No price or rate is known: it stands with 0 until one is. */
  isUnpriced: boolean
}

/** What lines come to: they are whole cents, so the sum is exact. */
export const totalOf = (lines: readonly Pick<ChargeLine, 'cents'>[]): number =>
  lines.reduce((sum, { cents }) => sum + cents, 0)
