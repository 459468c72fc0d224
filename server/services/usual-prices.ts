import { notStoredYet } from '#core/ground/envelope'
import { emptyState, evolve } from '#core/house/streams'
import type { StudioState } from '#core/stores/studio/state'
import type { Instant } from '#core/time/instant'
import { readStream } from '../database/events'
import type { Pressroom } from './pressroom'

/** The room's usual prices, as they were in force: what is set today charges nothing of yesterday otherwise. */
export interface UsualPrices {
  /** Of a gram of ink at a place in the ledger; 0 where none was ever said. */
  inkGramAt: (position: number) => number
  /** Of an hour at a press at a moment, or null. */
  pressHourAt: (at: Instant) => number | null
}

interface Said {
  position: number
  at: Instant
  price: number
}

/** The price said last before; or else, as long as none was, the first that was said after. 0 says that none is known. */
const inForce = (said: readonly Said[], isBefore: (one: Said) => boolean): number | null =>
  (said.findLast(isBefore) ?? said[0])?.price ?? null

export async function usualPrices({ db }: Pressroom): Promise<UsualPrices> {
  const ink: Said[] = []
  const hours: Said[] = []
  let state = emptyState('studio') as StudioState
  for (const event of (await readStream(db.long, 'studio')).events) {
    state = evolve(state, event)
    const when = { position: event.position ?? notStoredYet, at: event.occurredAt }
    for (const [said, price] of [
      [ink, state.inkGram],
      [hours, state.pressHour],
    ] as const)
      if (price > 0 && price !== said.at(-1)?.price) said.push({ ...when, price })
  }
  return {
    inkGramAt: (position) => inForce(ink, (one) => one.position < position) ?? 0,
    pressHourAt: (at) => inForce(hours, (one) => one.at <= at),
  }
}
