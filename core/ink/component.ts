import { IsInt, Length, Max, Min } from 'class-validator'
import { Id, OrNull, Unit } from '../ground/shape'
import { heaviest } from './amount'
import type { SeenDrawDown } from './draw-down'

/** What a left-over was when it was poured: what is done to it later does not reach back. */
export interface Held {
  components: Component[]
  drawDown: SeenDrawDown | null
}

/** One ink as it is weighed in. Weights are whole milligrams, so that sums are exact. */
export class Poured {
  /** The tub it came from, or null when it was not in the store. */
  @OrNull() @Id('tub') tubId!: string | null
  /** The left-over batch it came from, or null. */
  @OrNull() @Id('batch') batchId!: string | null
  @Length(1, 80) name!: string
  @IsInt() @Min(-heaviest) @Max(heaviest) @Unit('mg') milligrams!: number
}

/** One ink in a batch. */
export interface Component extends Poured {
  /** What the left-over held then, or null: for a tub, and where an old ledger does not say. */
  held: Held | null
}

/** An ink in a batch, or about to be. */
export type InMix = Poured & { held?: Held | null }

/** Weight of some components, milligrams. */
export function weightOf(components: readonly Pick<Component, 'milligrams'>[]): number {
  return components.reduce((sum, component) => sum + component.milligrams, 0)
}

/** Share of each component in the whole, in the order given; they add up to 1. */
export function shares(components: readonly Pick<Component, 'milligrams'>[]): number[] {
  const total = weightOf(components)
  return components.map((component) => (total === 0 ? 0 : component.milligrams / total))
}

/** The same composition, whenever a left-over was poured. */
const sameHeld = (one: Held | null, other: Held | null) => JSON.stringify(one) === JSON.stringify(other)

/** Components with more of them stirred in; what comes from the same place, and was the same then, is one. */
export function stirred(components: readonly Component[], more: readonly Component[]): Component[] {
  const all = components.map((component) => ({ ...component }))
  for (const added of more) {
    const known = all.find(
      (one) =>
        one.name === added.name &&
        one.tubId === added.tubId &&
        one.batchId === added.batchId &&
        sameHeld(one.held, added.held),
    )
    if (known) known.milligrams += added.milligrams
    else all.push({ ...added })
  }
  return all
}
