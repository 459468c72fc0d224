import { describe, expect, it } from 'vitest'
import { emptyCalendar } from '#core/calendar/state'
import { minuteOfLocal } from '#core/time/room-clock'
import { bookingsOf, drawnDay, tornEnds, weekWords } from './day-sheet'

const zone = 'Europe/Oslo'
const everyDay = [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '09:30', until: '21:00' }))
const at = (local: string) => minuteOfLocal(local, zone)!
const day = { from: at('2026-11-03'), to: at('2026-11-04') }
const calendar = { ...emptyCalendar(), timeZone: zone, hours: everyDay }
const booked = (id: string, from: string, until: string) => ({
  bookingId: id,
  placeId: 'long',
  personId: 'p1',
  from: new Date(at(from) * 60_000).toISOString(),
  until: new Date(at(until) * 60_000).toISOString(),
  editionId: null,
  layerId: null,
  isFixed: false,
  note: '',
  at: '',
  position: 1,
  by: 'p1',
  via: null,
})

describe('a day as it is drawn', () => {
  it('runs from the hour in which the room opens until it shuts, what is shut hatched', () => {
    const drawn = drawnDay(calendar, day)
    expect(drawn.hours.map(({ words }) => words)).toEqual([
      '09',
      '10',
      '11',
      '12',
      '13',
      '14',
      '15',
      '16',
      '17',
      '18',
      '19',
      '20',
    ])
    expect(drawn.closed).toHaveLength(1)
    expect(drawn.closed[0]).toMatchObject({ left: 0 })
    expect(drawn.minuteAt(0)).toBe(at('2026-11-03T09:00'))
    expect(drawn.along(drawn.shown)).toEqual({ left: 0, width: 100 })
  })

  it('reaches out to bookings beyond the hours, and over midnight', () => {
    const late = booked('a', '2026-11-03T20:00', '2026-11-04T01:00')
    const drawn = drawnDay({ ...calendar, bookings: [late] }, day)
    expect(drawn.shown.to).toBe(day.to)
    expect(bookingsOf({ ...calendar, bookings: [late] }, 'long', day)).toHaveLength(1)
    expect(bookingsOf({ ...calendar, bookings: [late] }, 'long', { from: day.to, to: day.to + 1440 })).toHaveLength(1)
    expect(bookingsOf({ ...calendar, bookings: [late] }, 'small', day)).toEqual([])
  })

  it('is drawn where the room is shut all day, and says so', () => {
    const onlyMondays = { ...calendar, hours: [{ weekday: 1, from: '09:00', until: '12:00' }] }
    expect(drawnDay(onlyMondays, day)).toMatchObject({ isOpen: false, closed: [{ left: 0, width: 100 }] })
  })
})

it('the week’s hours are said in few words', () => {
  expect(weekWords(everyDay)).toBe('every day 09:30 to 21:00')
  expect(weekWords([everyDay[1]!, everyDay[0]!, { weekday: 3, from: '18:00', until: '21:00' }])).toBe(
    'Monday and Tuesday 09:30 to 21:00; Wednesday 18:00 to 21:00',
  )
  expect(weekWords([])).toBe('')
})

it('a strip is torn the same on every visit, and two are torn differently', () => {
  expect(tornEnds('a')).toBe(tornEnds('a'))
  expect(tornEnds('a')).not.toBe(tornEnds('b'))
})
