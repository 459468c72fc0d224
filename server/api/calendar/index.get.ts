import { SpanQuery } from '#shared/queries/lists'
import { readCalendar } from '../../services/calendar'
import { reading } from '../../services/reading'
import { queryChecked } from '../../services/request'

/** The room's hours, closures and bookings, and how the day that is looked at could be ordered better. */
export default defineEventHandler((event) =>
  reading(event, (room, { person }) => readCalendar(room, queryChecked(event, SpanQuery), person, Date.now())),
)
