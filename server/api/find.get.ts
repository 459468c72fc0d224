import { FindQuery } from '#shared/queries/lists'
import { find } from '../services/find'
import { queryChecked } from '../services/request'
import { asking } from '../services/session'
import { viewerOf } from '../services/viewer'

export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  return await find(room, queryChecked(event, FindQuery).text, viewerOf(person))
})
