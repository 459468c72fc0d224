import { streamKind } from '#core/ground/envelope'
import { singleStreams, type StreamState, streamKinds } from '#core/house/streams'
import type { Viewer } from '#core/house/who-sees'
import { type Page, pagedKinds } from '#shared/replies/reading'
import { StreamsQuery } from '#shared/queries/lists'
import { failure } from '../../services/failure'
import type { Pressroom } from '../../services/pressroom'
import { reading } from '../../services/reading'
import { queryChecked } from '../../services/request'
import { readOneStream, readStreams } from '../../services/stream-pages'
import { viewerOf } from '../../services/viewer'

const unknown = () =>
  failure({ code: 'unknown-kind', message: 'There are no such streams to be read here. Reload the page.' })

async function pageOf(
  room: Pressroom,
  viewer: Viewer,
  name: string,
  after: string | undefined,
): Promise<Page<StreamState>> {
  if ((pagedKinds as readonly string[]).includes(name)) return await readStreams(room, viewer, name, after)
  const kind = streamKind(name)
  const isOne = name === kind ? singleStreams.includes(name) : streamKinds.includes(kind)
  // An edition is read as a whole page of its own.
  if (!isOne || kind === 'edition' || after !== undefined) throw unknown()
  return await readOneStream(room, viewer, name)
}

/** What a page folds further by itself: streams of some kinds, a page of each at a time, and single ones, by what was asked. */
export default defineEventHandler(async (event) => {
  const { of, after } = queryChecked(event, StreamsQuery)
  const names = [...new Set(of.split(','))]
  if (after !== undefined && names.length > 1) throw unknown()
  return await reading(event, async (room, { person }) => {
    const pages = await Promise.all(
      names.map(async (name) => [name, await pageOf(room, viewerOf(person), name, after)] as const),
    )
    return Object.fromEntries(pages)
  })
})
