import type { Doer, When } from '../ground/envelope'

/** Something a person owes or is owed that the ledger cannot tell by itself: a course fee, a locker, a broken roller. */
export interface TypedChargeSaid {
  /** The day it is for, `2026-11-05`. */
  on: string
  what: string
  /** Whole cents; below 0 is a credit. */
  cents: number
  editionId: string | null
}

export interface TypedCharge extends TypedChargeSaid, When, Doer {
  id: string
}

/** What was paid, or let go, of what a person owed for a span of time. */
export interface SettledSaid {
  /** ISO instants, the end left out. */
  from: string
  until: string
  /** The ledger's position when it was drawn up: what came later is not in it. */
  upTo: number
  /** What the lines came to, whole cents, corrections left out. */
  cents: number
  /** Corrections of earlier statements that were settled with it. */
  corrections: { statementId: string; cents: number }[]
  note: string
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
