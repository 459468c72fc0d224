import { personAt } from '../../../services/calendar-addresses'
import { calendarFile } from '../../../services/calendar-file'
import { failure } from '../../../services/failure'
import { usePressroom } from '../../../services/use-pressroom'

/** What was asked for; empty where its signs are none. */
function decoded(text: string): string {
  try {
    return decodeURIComponent(text)
  } catch {
    return ''
  }
}

/** What a calendar program reads, which cannot sign in: whoever has the address sees that person's bookings. */
export default defineEventHandler(async (event) => {
  const room = await usePressroom()
  const token = decoded(getRouterParam(event, 'token') ?? '').replace(/\.ics$/, '')
  const person = await personAt(room, token)
  if (!person)
    throw failure({
      code: 'http-404',
      message: 'That calendar address leads nowhere. Make a new one on the day sheet.',
    })
  setResponseHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  return await calendarFile(room, person, 'own')
})
