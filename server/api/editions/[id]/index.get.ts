import { shareOf } from '#core/house/who-sees'
import { sendWritten, writeJson } from '../../../services/compressed'
import { editionFor, readEdition } from '../../../services/editions'
import { asking, viewerOf } from '../../../services/session'

/** An edition as the person who asks sees it. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const { state, ...beside } = await readEdition(room, getRouterParam(event, 'id') ?? '')
  const viewer = viewerOf(person)
  const isWhole = shareOf(viewer, state.stream, room.owners.isOwn) === 'whole'
  const written = await room.written.of(
    `${state.stream} ${isWhole ? 'whole' : 'cut'}`,
    `${state.seq} ${beside.studio.seq}`,
    async () => await writeJson({ ...beside, state: editionFor(room, state, viewer) }),
  )
  await sendWritten(event, written)
})
