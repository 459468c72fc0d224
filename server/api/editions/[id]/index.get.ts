import { shareOf } from '#core/house/who-sees'
import { sendJsonText } from '../../../services/compressed'
import { editionFor, readEdition } from '../../../services/editions'
import { asking } from '../../../services/session'
import { viewerOf } from '../../../services/viewer'

/** An edition as the person who asks sees it. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const { state, ...beside } = await readEdition(room, getRouterParam(event, 'id') ?? '')
  const viewer = viewerOf(person)
  const isWhole = shareOf(viewer, state.stream, room.owners.isOwn) === 'whole'
  const written = room.written.of(`${state.stream} ${isWhole ? 'whole' : 'cut'}`, editionFor(room, state, viewer))
  await sendJsonText(event, `{"state":${written},${JSON.stringify(beside).slice(1)}`)
})
