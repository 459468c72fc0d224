import { streamKind } from '#core/ground/envelope'
import { streamKinds } from '#core/house/streams'
import { pagedKinds } from '#shared/replies/reading'
import { StreamsQuery } from '#shared/queries/lists'
import { failure } from '../../services/failure'
import { reading } from '../../services/reading'
import { queryChecked } from '../../services/request'
import { viewerOf } from '../../services/viewer'
import { readOneStream, readStreams } from '../../services/stream-pages'

const unknown = () =>
  failure({ code: 'unknown-kind', message: 'There are no such streams to be read here. Reload the page.' })

/** The streams of a kind, a page at a time, or one of them: what a page folds further by itself. */
export default defineEventHandler(async (event) => {
  const kind = getRouterParam(event, 'kind') ?? ''
  const { after, stream } = queryChecked(event, StreamsQuery)
  return await reading(event, async (room, { person }) => {
    // An edition is read as a whole page of its own.
    if (kind === 'edition' || !streamKinds.includes(kind)) throw unknown()
    if (stream !== undefined) {
      if (streamKind(stream) !== kind) throw unknown()
      return await readOneStream(room, viewerOf(person), stream)
    }
    if (!(pagedKinds as readonly string[]).includes(kind)) throw unknown()
    return await readStreams(room, viewerOf(person), kind, after)
  })
})
