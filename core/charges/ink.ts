import { type Happening, notStoredYet, whenOf } from '../ground/envelope'
import type { InMix } from '../ink/component'
import { type BatchState, grams } from '../stores/batch/state'
import type { ChargeLine } from './line'
import { wholeCents } from './money'

/** What a gram of each tub costs; null where nobody said. */
export type GramPrice = (tubId: string) => number | null

/** The same at a place in the ledger: prices change. */
export type PriceAt = (tubId: string, position: number) => number | null

/** A price a gram, and whether all that went in had one. */
export interface MixPrice {
  gram: number
  isKnown: boolean
}

/**
 * What a gram of a mix costs: its components' prices by mass, those of a left-over by what it held when it was poured.
 * What has no price of its own counts at the studio's usual one.
 * @param usual the studio's price of a gram; 0 when it has none
 */
export function gramPriceOf(components: readonly InMix[], priceOf: GramPrice, usual: number): MixPrice {
  let mass = 0
  let cost = 0
  let isKnown = true
  for (const { milligrams, tubId, held } of components) {
    const own = tubId === null ? null : priceOf(tubId)
    const of = own !== null ? { gram: own, isKnown: true } : held ? gramPriceOf(held.components, priceOf, usual) : null
    mass += milligrams
    cost += milligrams * (of?.gram ?? usual)
    isKnown &&= of?.isKnown ?? usual > 0
  }
  return mass === 0 ? { gram: usual, isKnown: usual > 0 } : { gram: cost / mass, isKnown }
}

/** What ink drawn for an edition charges to whoever drew it, at the prices of that day. @param batch as it stood before the event */
export function inkCharges(
  batch: BatchState,
  event: Happening,
  priceAt: PriceAt,
  usualAt: (position: number) => number,
): ChargeLine[] {
  if (event.type !== 'ink-drawn') return []
  const { milligrams, editionStream } = event.data as { milligrams: number; editionStream: string }
  const position = event.position ?? notStoredYet
  const { gram, isKnown } = gramPriceOf(batch.components, (tubId) => priceAt(tubId, position), usualAt(position))
  return [
    {
      ...whenOf(event),
      personId: event.actor,
      editionStream,
      kind: 'ink',
      what: `${grams(milligrams)} of ${batch.name}`,
      cents: wholeCents((gram * milligrams) / 1000),
      isReckoned: false,
      isUnpriced: !isKnown,
    },
  ]
}
