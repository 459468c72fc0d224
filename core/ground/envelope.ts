import type { Zone } from '../time/zone'
import type { Refused } from './refusal'

/** An event as the ledger keeps it: appended once, never changed. Order is `position`, never a clock. */
export interface LedgerEvent<Type extends string = string, Data = unknown> {
  /** Global place in the ledger, from 1. */
  position: number
  /** The stream it belongs to, `kind` or `kind:id`. */
  stream: string
  /** Place in its stream, from 1. */
  seq: number
  type: Type
  version: number
  /** Id of the person who did it (never a name). */
  actor: string
  /** Id of the person whose session handed it in, when that was somebody else. */
  via: string | null
  device: string
  commandId: string
  /** When it happened (ISO 8601): as the browser said, between the sign-in that vouches for it and its recording. */
  occurredAt: string
  /** When the server stored it (ISO 8601). */
  recordedAt: string
  /** What the browser's clock said, where that could not be and `occurredAt` is the nearest that could; else null. */
  claimedAt: string | null
  data: Data
  /** SHA-256 over the stream's previous hash and this event, hex. */
  hash: string
}

/** An event as it is sent to a browser: without what only the ledger itself goes by. */
export type SentEvent<Type extends string = string, Data = unknown> = Omit<
  LedgerEvent<Type, Data>,
  'device' | 'recordedAt' | 'hash'
>

/** What of an event an evolver may read: nothing that depends on when or how it was stored. */
export type Happening = Pick<LedgerEvent, 'stream' | 'seq' | 'type' | 'version' | 'actor' | 'occurredAt' | 'data'> &
  // What a browser foresees has not been handed in yet, and has no place in the ledger.
  Partial<Pick<LedgerEvent, 'via' | 'position' | 'claimedAt'>>

/** When something happened, to be shown, and its place in the ledger, to be ordered by. */
export interface When {
  at: string
  position: number
}

/** After everything that is stored. */
export const notStoredYet = Number.MAX_SAFE_INTEGER

export function whenOf({ occurredAt, position }: Happening): When {
  return { at: occurredAt, position: position ?? notStoredYet }
}

/** Who did something, and who handed it in when that was somebody else. */
export interface Doer {
  by: string
  via: string | null
}

/** “Ada Pell”, or “Ada Pell (handed in by Tove Brand)”. */
export function doerWords({ by, via }: Doer, nameOf: (id: string) => string): string {
  return via === null ? nameOf(by) : `${nameOf(by)} (handed in by ${nameOf(via)})`
}

export function doerOf({ actor, via }: Happening): Doer {
  return { by: actor, via: via ?? null }
}

/** An event as a rule proposes it, before the ledger gives it a place. */
export interface NewEvent<Type extends string = string, Data = unknown> {
  stream: string
  type: Type
  version: number
  data: Data
}

export type Decision = { events: NewEvent[] } | Refused

export type Role = 'manager' | 'instructor' | 'member' | 'student'
export const roles: readonly Role[] = ['manager', 'instructor', 'member', 'student']

/** What a rule may know beside the streams: who asks, and when. It has no clock of its own. */
export interface Context {
  personId: string
  role: Role
  commandId: string
  /** When it happened, ISO 8601. */
  occurredAt: string
  /** Whose clock and calendar the room goes by: days in a rule are days there. */
  zone: Zone
  /**
   * Whose act it is said to be, where nothing proves it: the person above handed it in. `wasHere`: that person signed in
   * at that browser before.
   */
  claimed?: Pick<Context, 'personId' | 'role'> & { wasHere: boolean }
  /** False when the person would have to give the secret again for what asks for it. */
  isSure?: boolean
}

/** `lot` of `lot:l1`, `studio` of `studio`. */
export function streamKind(stream: string): string {
  const colon = stream.indexOf(':')
  return colon < 0 ? stream : stream.slice(0, colon)
}

/** `l1` of `lot:l1`. */
export function streamId(stream: string): string {
  return stream.slice(stream.indexOf(':') + 1)
}
