import type { EditionState } from '#core/edition/state'
import { emptyState, fold } from '#core/house/streams'
import { rows } from '../database/connections'
import { readStream } from '../database/events'
import type { Pressroom } from './pressroom'

/** Editions in the order they were begun, one held at a time however many there are. */
export async function* editionsOf({ db }: Pressroom): AsyncGenerator<EditionState> {
  const streams = await rows<{ stream: string }>(
    db.long,
    `SELECT stream FROM events WHERE seq = 1 AND stream LIKE 'edition:%' ORDER BY position`,
  )
  for (const { stream } of streams)
    yield fold(emptyState(stream), (await readStream(db.long, stream)).events) as EditionState
}
