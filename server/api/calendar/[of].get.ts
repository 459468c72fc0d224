import { isStaff } from '#core/ground/who'
import { calendarFile } from '../../services/calendar-file'
import { failure } from '../../services/failure'
import { asking } from '../../services/session'

/** One's own bookings as a file for calendar programs, `own.ics`; to staff every booking of the room too, `room.ics`. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const of = (getRouterParam(event, 'of') ?? '').replace(/\.ics$/, '')
  if (of !== 'own' && of !== 'room')
    throw failure({ code: 'http-404', message: `There is no calendar “${of}”; there are own.ics and room.ics.` })
  if (of === 'room' && !isStaff(person.role))
    throw failure({ code: 'not-allowed', message: 'The bookings of the whole room are for staff; own.ics are yours.' })
  setResponseHeaders(event, {
    'content-type': 'text/calendar; charset=utf-8',
    'content-disposition': `attachment; filename="bookings-${of}.ics"`,
  })
  return await calendarFile(room, person, of)
})
