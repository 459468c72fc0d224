import { SpanQuery } from '#shared/queries/lists'
import { readCalendar } from '../../services/calendar'
import { queryChecked } from '../../services/request'
import { asking } from '../../services/session'

/** The room's hours, closures and bookings, and how the day that is looked at could be ordered better. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  return await readCalendar(room, queryChecked(event, SpanQuery), person, Date.now())
})
