import { seenState, shareOf, type Viewer } from '#core/house/who-sees'
import type { StreamState } from '#core/house/streams'
import type { Page } from '#shared/replies/reading'
import { rows } from '../database/connections'
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
  const key = after === undefined ? [] : after.split('|', 2)
  const found = await rows<{ stream: string; changed_at: string; data: string }>(
    room.db.reader,
    `SELECT stream, changed_at, data FROM summaries WHERE kind = $1
     ${key.length === 2 ? 'AND (changed_at, stream) < ($3, $4)' : ''} ORDER BY changed_at DESC, stream DESC LIMIT $2`,
    [kind, pageSize + 1, ...(key.length === 2 ? key : [])],
  )
  const page = found.slice(0, pageSize)
  const last = page.at(-1)
  return {
    states: page.flatMap((row) => seenBy(room, viewer, stateOf(row)) ?? []),
    next: found.length > pageSize && last ? `${last.changed_at}|${last.stream}` : null,
  }
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
