import { chancesUpTo } from '../plan/odds'
import { proofsOfLayer } from '../plan/pass-rate'
import type { ShopRecord } from '../plan/shop-record'
import { courseOf, type Reckoning, type Stack } from './outlook'

/** What so many more pulls of this layer, before the block is cut, would make of the edition. */
export interface MorePulls {
  pulls: number
  chance: number
}

/** What may become of an edition when the block is cut further. */
export interface Gate {
  /** Sheets that wait for this layer. */
  waiting: number
  /** Chance if it is cut now, and they are left behind. */
  cutNow: number
  /** Chance if all of them are pulled first. */
  pulledFirst: number
  /** The fewest of them to pull so that the confidence is reached; null when all would not do. */
  morePulls: number | null
  isRough: boolean
  /** The chance for every number of them pulled first, from none to all. */
  each: MorePulls[]
  /** Sheets that the proofs of the layers still to come take out of the stack. */
  laterProofs: number
}

/**
 * What a gate asks before the block is cut further (models.md, M3).
 * @param place of the layer among the edition's, from 0
 */
export function gateOf(stack: Stack, place: number, plan: Reckoning, record: ShopRecord, confidence: number): Gate {
  const course = courseOf(stack, plan, record, place)
  const [here, ...after] = course.layers
  const waiting = here?.waiting ?? 0
  const chances = chancesUpTo({ ...course, layers: [{ waiting, proofs: 0 }, ...after] }, waiting)
  const enough = chances.of.findIndex((chance) => chance >= confidence)
  return {
    waiting,
    cutNow: chances.of[0]!,
    pulledFirst: chances.of[waiting]!,
    morePulls: enough < 0 ? null : enough,
    isRough: chances.isRough,
    each: Array.from(chances.of.subarray(0, waiting + 1), (chance, pulls) => ({ pulls, chance })),
    laterProofs: stack.layers
      .slice(place + 1)
      .filter(({ isPulled }) => isPulled)
      .reduce(
        (sum, { isBegun, proofed }, i) =>
          sum + (isBegun ? 0 : Math.max(0, proofsOfLayer(place + 2 + i, record) - proofed)),
        0,
      ),
  }
}

/** A few of them to read at a glance: none, the fewest that will do, all, and some between. */
export function toRead({ each, morePulls, waiting }: Gate): MorePulls[] {
  const wanted = new Set([0, waiting, ...(morePulls === null ? [] : [morePulls])])
  for (let quarter = 1; quarter < 4; quarter++) wanted.add(Math.round((waiting * quarter) / 4))
  return each.filter(({ pulls }) => wanted.has(pulls))
}
