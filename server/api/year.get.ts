import { YearQuery } from '#shared/queries/lists'
import { queryChecked } from '../services/request'
import { staffAsking } from '../services/session'
import { readYear } from '../services/year'

/** What the room did in a year. */
export default defineEventHandler(async (event) => {
  const { room } = await staffAsking(event)
  return await readYear(room, queryChecked(event, YearQuery).year)
})
