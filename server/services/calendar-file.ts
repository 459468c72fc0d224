import { instantAt } from '#core/time/instant'
import ical, { ICalCalendarMethod, ICalEventTransparency } from 'ical-generator'
import { spanOfClosure } from '#core/calendar/hours'
import { instantOf } from '#core/time/instant'
import type { CalendarState } from '#core/calendar/state'
import type { StudioState } from '#core/stores/studio/state'
import type { PersonReply } from '#shared/replies/replies'
import { readCalendar } from './calendar'
import type { Pressroom } from './pressroom'

/**
 * Bookings and closures as an iCalendar file (RFC 5545).
 * @param of a person's own bookings and absences, or those of the whole room
 */
export async function calendarFile(
  room: Pressroom,
  person: Pick<PersonReply, 'id' | 'role'>,
  of: 'own' | 'room',
): Promise<string> {
  const now = Date.now()
  const { calendar, places, editions } = await readCalendar(
    room,
    { from: instantAt(now), until: instantAt(now) },
    person,
    now,
  )
  const { name } = await room.ledger.read<StudioState>('studio')
  const file = ical({
    name: of === 'room' ? `${name}, every booking` : `${name}, ${room.people.get(person.id)?.name ?? ''}`,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Ample Tally', product: 'Day sheet', language: 'EN' },
  })
  const nameOf = (id: string) => room.people.get(id)?.name ?? 'somebody'
  for (const { bookingId, placeId, personId, from, until, editionId, layerId, note } of calendar.bookings) {
    if (of === 'own' && personId !== person.id) continue
    const place = places.find(({ id }) => id === placeId)?.name ?? 'a press'
    const edition = editions.find(({ id }) => id === editionId)
    const layer = edition?.layers.find(({ id }) => id === layerId)?.name
    file.createEvent({
      id: `booking-${bookingId}`,
      start: from,
      end: until,
      summary: [of === 'room' ? `${nameOf(personId)}, ${place}` : place, edition?.title].filter(Boolean).join(': '),
      location: place,
      description: [layer, note].filter(Boolean).join('. '),
    })
  }
  for (const closure of wantedClosures(calendar, person.id, of)) {
    const span = spanOfClosure(closure, calendar.timeZone)
    if (!span) continue
    file.createEvent({
      id: `closure-${closure.id}`,
      start: instantOf(span.from),
      end: instantOf(span.to),
      summary: [closure.personId ? `${nameOf(closure.personId)} is away` : `${name} is shut`, closure.why]
        .filter(Boolean)
        .join(': '),
      transparency: ICalEventTransparency.TRANSPARENT,
    })
  }
  return file.toString()
}

const wantedClosures = ({ closures }: CalendarState, personId: string, of: 'own' | 'room') =>
  closures.filter((closure) => of === 'room' || closure.personId === null || closure.personId === personId)
