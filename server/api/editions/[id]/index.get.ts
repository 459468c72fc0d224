import { sendJson } from '../../../services/compressed'
import { editionFor, readEdition } from '../../../services/editions'
import { asking, viewerOf } from '../../../services/session'

/** An edition as the person who asks sees it. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const reply = await readEdition(room, getRouterParam(event, 'id') ?? '')
  await sendJson(event, { ...reply, state: editionFor(room, reply.state, viewerOf(person)) })
})
