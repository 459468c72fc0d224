import { shareOf } from '#core/house/who-sees'
import { sendJsonBytes } from '../../../services/compressed'
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
  const rest = `,${JSON.stringify(beside).slice(1)}`
  await sendJsonBytes(event, Buffer.concat([Buffer.from('{"state":'), written, Buffer.from(rest)]))
})
