import { FindQuery } from '#shared/queries/lists'
import { find } from '../services/find'
import { queryChecked } from '../services/request'
import { asking } from '../services/session'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return await find(room, queryChecked(event, FindQuery).text)
})
