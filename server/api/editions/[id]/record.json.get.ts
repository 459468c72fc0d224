import { editionRecord } from '#core/edition/record'
import { readEdition } from '../../../services/editions'
import { asking } from '../../../services/session'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const { state, studio } = await readEdition(room, getRouterParam(event, 'id') ?? '')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="edition-record.json"')
  return editionRecord(state, studio, (id) => room.people.get(id)?.name ?? id)
})
