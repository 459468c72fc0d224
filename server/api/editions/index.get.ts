import { EditionsQuery } from '#shared/queries/lists'
import { listEditions } from '../../services/editions'
import { queryChecked } from '../../services/request'
import { asking } from '../../services/session'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return await listEditions(room, queryChecked(event, EditionsQuery))
})
