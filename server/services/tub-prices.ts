import type { PriceAt } from '#core/charges/ink'
import { notStoredYet } from '#core/ground/envelope'
import { emptyState, evolve } from '#core/house/streams'
import type { TubState } from '#core/stores/tub/state'
import { streamsListed } from '../database/summaries'
import { readStream } from '../database/events'
import type { Pressroom } from './pressroom'

/**
 * What a gram of each tub cost at a place in the ledger: the price said last before it, or else the first that was said
 * after. A tub nobody priced says 0: that is not known, and never free.
 */
export async function tubPrices({ db }: Pressroom): Promise<PriceAt> {
  const said = new Map<string, { position: number; price: number }[]>()
  for (const stream of await streamsListed(db.long, 'tub')) {
    const prices: { position: number; price: number }[] = []
    let state = emptyState(stream) as TubState
    for (const event of (await readStream(db.long, stream)).events) {
      state = evolve(state, event)
      if (state.price > 0 && state.price !== prices.at(-1)?.price)
        prices.push({ position: event.position ?? notStoredYet, price: state.price })
    }
    said.set(stream.slice('tub:'.length), prices)
  }
  return (tubId, position) => {
    const prices = said.get(tubId) ?? []
    return (prices.findLast((one) => one.position < position) ?? prices[0])?.price ?? null
  }
}
