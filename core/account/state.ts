import { IsInt, Max, Min } from 'class-validator'
import { IsDay, IsMoment } from '../ground/written'
import { Id, OrNull, Parts, Unit, Words } from '../ground/shape'
import type { Doer, When } from '../ground/envelope'

/** More than a printmaker's room turns over. */
const mostCents = 100_000_000

/** Something a person owes or is owed that the ledger cannot tell by itself: a course fee, a locker, a broken roller. */
export class TypedChargeSaid {
  static readonly sample: TypedChargeSaid = { on: '2026-11-02', what: 'locker', cents: 500, editionId: null }

  /** The day it is for, `2026-11-05`. */
  @IsDay() on!: string
  @Words(200) what!: string
  /** Whole cents; below 0 is a credit. */
  @IsInt() @Min(-mostCents) @Max(mostCents) @Unit('cents') cents!: number
  @OrNull() @Id('edition') editionId!: string | null
}

export interface TypedCharge extends TypedChargeSaid, When, Doer {
  id: string
}

class CorrectionSettled {
  @Id('statement') statementId!: string
  @IsInt() @Min(-mostCents) @Max(mostCents) @Unit('cents') cents!: number
}

/** What was paid, or let go, of what a person owed for a span of time. */
export class SettledSaid {
  static readonly sample: SettledSaid = {
    from: '2026-11-01T00:00:00.000Z',
    until: '2026-12-01T00:00:00.000Z',
    upTo: 0,
    cents: 500,
    corrections: [],
    note: '',
  }

  /** ISO instants, the end left out. */
  @IsMoment() from!: string
  @IsMoment() until!: string
  /** The ledger's position when it was drawn up: what came later is not in it. */
  @IsInt() @Min(0) @Max(1_000_000_000) upTo!: number
  /** What the lines came to, whole cents, corrections left out. */
  @IsInt() @Min(-mostCents) @Max(mostCents) @Unit('cents') cents!: number
  /** Corrections of earlier statements that were settled with it. */
  @Parts(() => CorrectionSettled, 200) corrections!: CorrectionSettled[]
  @Words(300) note!: string
}

export interface SettledStatement extends SettledSaid, When, Doer {
  id: string
}

/** What one person owes beside what the ledger tells, and what of it is settled. `account:room` says what the room uses itself. */
export interface AccountState {
  stream: string
  seq: number
  charges: TypedCharge[]
  statements: SettledStatement[]
  /** Of the room's own account: editions that are printed for the room, at cost. */
  editionIds: string[]
}

export function emptyAccount(stream: string): AccountState {
  return { stream, seq: 0, charges: [], statements: [], editionIds: [] }
}

/** The account of the room itself. */
export const roomAccount = 'room'
