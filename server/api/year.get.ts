import { SpanQuery } from '#shared/queries/lists'
import { queryChecked } from '../services/request'
import { staffAsking } from '../services/session'
import { readYear } from '../services/year'

/** What the room did in a year, or any other span of time. */
export default defineEventHandler(async (event) => {
  const { room } = await staffAsking(event)
  return await readYear(room, queryChecked(event, SpanQuery))
})
