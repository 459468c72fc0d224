import type { EditionState } from '#core/edition/state'
import { pullOf } from '#core/edition/pull'
import { type Context, type LedgerEvent, type NewEvent, streamKind } from '#core/ground/envelope'
import { evolve, type StreamState } from '#core/house/streams'
import { eventHash } from '../database/events'
import type { CachedState } from './state-cache'

/** Who did it, where, and through whose session. */
interface Origin {
  context: Pick<Context, 'personId' | 'commandId' | 'occurredAt'>
  device: string
  via: string | null
  claimedAt?: string | null
}

/**
 * Proposed events with their places in the ledger, and how their streams stand after them.
 * @param working how the streams stand before, of all that the events are on
 * @param position of the last event before them
 */
export function placed(
  { context, device, via, claimedAt = null }: Origin,
  proposed: readonly NewEvent[],
  working: ReadonlyMap<string, CachedState>,
  position: number,
  recordedAt: string,
): { events: LedgerEvent[]; standings: Map<string, CachedState> } {
  const standings = new Map<string, CachedState>()
  const events = proposed.map((one, i) => {
    const { state, hash } = standings.get(one.stream) ?? working.get(one.stream)!
    const bare = {
      ...one,
      position: position + i + 1,
      seq: state.seq + 1,
      actor: context.personId,
      via,
      device,
      commandId: context.commandId,
      occurredAt: context.occurredAt,
      recordedAt,
      claimedAt,
    }
    const event: LedgerEvent = { ...bare, hash: eventHash(hash, bare) }
    standings.set(one.stream, { state: evolve(state, event), hash: event.hash })
    return event
  })
  return { events, standings }
}

/** Why a pull was stored as disputed, or null. */
export function disputeOf(state: StreamState, pullId: string): string | null {
  if (streamKind(state.stream) !== 'edition') return null
  return pullOf(state as EditionState, pullId)?.disputed?.message ?? null
}
