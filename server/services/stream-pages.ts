import { seenState, shareOf, type Viewer } from '#core/house/who-sees'
import type { StreamState } from '#core/house/streams'
import type { Page } from '#shared/replies/reading'
import { pageOfLines } from '../database/summaries'
import type { Pressroom } from './pressroom'

const pageSize = 200

/**
 * Streams of a kind as somebody sees them, the one that changed last first; those of which they see nothing are left out.
 * Pages are cut by key. One that changes meanwhile may be on none of them: whoever reads hears of it from the first
 * page's position on.
 */
export async function readStreams(
  room: Pressroom,
  viewer: Viewer,
  kind: string,
  after: string | undefined,
): Promise<Page<StreamState>> {
  const { lines, next } = await pageOfLines(room.db.reader, { kind }, pageSize, after)
  return { states: lines.flatMap((line) => seenBy(room, viewer, stateOf(line)) ?? []), next }
}

/** One stream as somebody sees it, whatever its kind; none where it was never written, or is not theirs to see. */
export async function readOneStream(room: Pressroom, viewer: Viewer, stream: string): Promise<Page<StreamState>> {
  const state = await room.ledger.read(stream)
  const seen = state.seq === 0 ? null : seenBy(room, viewer, state)
  return { states: seen ? [seen] : [], next: null }
}

const seenBy = <State extends StreamState>(room: Pressroom, viewer: Viewer, state: State): State | null =>
  seenState(state, shareOf(viewer, state.stream, room.owners.isOwn))

/** The line of a small stream holds the whole of it, under its id. */
function stateOf({ stream, data }: { stream: string; data: string }): StreamState {
  const state = JSON.parse(data) as Record<string, unknown>
  delete state.id
  return { ...state, stream } as unknown as StreamState
}
