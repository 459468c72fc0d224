import { EditionsQuery } from '#shared/queries/lists'
import { listEditions } from '../../services/editions'
import { asking, queryChecked } from '../../services/request'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return await listEditions(room, queryChecked(event, EditionsQuery))
})
