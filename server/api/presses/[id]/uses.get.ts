import { UsesQuery } from '#shared/queries/lists'
import { usesOf } from '../../../services/press-uses'
import { queryChecked } from '../../../services/request'
import { asking } from '../../../services/session'

/** The set-ups of a press, newest first, those alone whose words are asked for. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return await usesOf(room, getRouterParam(event, 'id') ?? '', queryChecked(event, UsesQuery).search ?? '')
})
