import { sendJson } from '../../../services/compressed'
import { readEdition } from '../../../services/editions'
import { asking } from '../../../services/session'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  await sendJson(event, await readEdition(room, getRouterParam(event, 'id') ?? ''))
})
