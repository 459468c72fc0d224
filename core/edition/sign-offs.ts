import { Id, OrNull } from '../ground/shape'
import type { Doer, When } from '../ground/envelope'

/** What is signed off by staff: good paper and a further cut on one edition, a press or solvents for a person. */
export type SignOffFor = 'press' | 'paper' | 'cut' | 'solvents'
export const signOffsFor: readonly SignOffFor[] = ['press', 'paper', 'cut', 'solvents']

/** What somebody at work asks staff for. */
export type AskFor = SignOffFor | 'help' | 'more paper'
export const asksFor: readonly AskFor[] = ['help', ...signOffsFor, 'more paper']

/** What it is about: the layer of a cut, the press of a press. */
export class About {
  @OrNull() @Id('layer') layerId!: string | null
  @OrNull() @Id('press') pressId!: string | null
}

export interface SignOff extends About, When, Doer {
  id: string
  what: SignOffFor
  /** Whom it was given to, of a press or solvents; null of what holds for the edition. */
  personId: string | null
  note: string
  /** Why it no longer holds, or null while it does. */
  withdrawn: string | null
}

export interface Ask extends About, When, Doer {
  id: string
  what: AskFor
  words: string
  /** What became of it; null while it waits. */
  answer: (When & Doer & { note: string; given: boolean; takenBack: boolean }) | null
}

interface SignedOff {
  signOffs: readonly SignOff[]
}

/** Whether that is signed off for an edition and holds. */
export function signedOff({ signOffs }: SignedOff, what: 'paper' | 'cut', layerId: string | null): boolean {
  return signOffs.some((one) => one.what === what && one.layerId === layerId && one.withdrawn === null)
}

/** Asks that nobody has answered yet. */
export function openAsks({ asks }: { asks: readonly Ask[] }): Ask[] {
  return asks.filter(({ answer }) => answer === null)
}

/** True of two that ask for, or give, the same thing. */
export function isSameMatter(ask: Pick<Ask, 'what' | 'layerId' | 'pressId'>, other: typeof ask): boolean {
  return ask.what === other.what && ask.layerId === other.layerId && ask.pressId === other.pressId
}
