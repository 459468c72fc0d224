import type { EditionState } from '#core/edition/state'
import { emptyState, fold } from '#core/house/streams'
import { readStream } from '../database/events'
import { editionStreams } from '../database/over-events'
import type { Pressroom } from './pressroom'

/** Editions in the order they were begun, one held at a time however many there are. */
export async function* editionsOf({ db }: Pressroom): AsyncGenerator<EditionState> {
  for (const stream of await editionStreams(db.long))
    yield fold(emptyState(stream), (await readStream(db.long, stream)).events) as EditionState
}
