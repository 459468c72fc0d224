import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { play } from '../../tests/fixtures/random-run'
import type { Context, Happening } from '../ground/envelope'
import { decide, emptyState, evolve, fold, type StreamState } from '../house/streams'
import type { Span } from '../timetable/spans'
import { nearestFree, spanOf } from './free'
import { openSpans } from './hours'
import { instantOf, minuteOf } from '../time/instant'
import { isSkipped, localOf, minuteOfLocal, spanWords } from '../time/room-clock'
import { type BookingSaid, type CalendarState, type Closure, emptyCalendar } from './state'
import { studioDefaults } from '../stores/studio/state'

const zone = 'Europe/Oslo'
const local = (time: string, at = zone) => minuteOfLocal(time, at)!
const everyDay = (from: string, until: string) => [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from, until }))
const closure = (from: string, until: string, personId: string | null = null): Closure => ({
  id: from,
  from,
  until,
  personId,
  why: '',
  source: '',
  at: '',
  position: 0,
  by: 'p1',
  via: null,
})

describe('the clock of the room', () => {
  it('is an hour off after the clocks have changed', () => {
    expect(instantOf(local('2026-10-24T18:00'))).toBe('2026-10-24T16:00:00.000Z')
    expect(instantOf(local('2026-10-25T18:00'))).toBe('2026-10-25T17:00:00.000Z')
  })

  it('has an hour that is skipped in spring, and takes a time in it as the hour after', () => {
    expect(isSkipped('2027-03-28T02:30', zone)).toBe(true)
    expect(isSkipped('2027-03-28T03:30', zone)).toBe(false)
    expect(local('2027-03-28T02:30')).toBe(local('2027-03-28T03:30'))
  })

  it('says a span with its day once, and both days over midnight', () => {
    const from = local('2026-12-24T22:00')
    expect(spanWords({ from, to: from + 90 }, zone)).toBe('Thursday 24 December, 22:00 to 23:30')
    expect(spanWords({ from, to: from + 180 }, zone)).toBe('Thursday 24 December, 22:00 to Friday 25 December, 01:00')
  })

  it('knows no time in what is none', () => {
    expect(minuteOfLocal('in spring', zone)).toBeNull()
  })
})

describe('open hours', () => {
  const room = { timeZone: zone, hours: everyDay('09:00', '17:00'), closures: [] as Closure[] }
  const week = { from: local('2026-11-02'), to: local('2026-11-09') }

  it('are as long each day, and those of the week', () => {
    const spans = openSpans(room, week)
    expect(spans).toHaveLength(7)
    expect(spans.every(({ from, to }) => to - from === 8 * 60)).toBe(true)
    expect(localOf(spans[0]!.from, zone)).toBe('2026-11-02T09:00')
  })

  it('begin and end where they are asked for', () => {
    const half = openSpans(room, { from: local('2026-11-02T12:00'), to: local('2026-11-02T13:00') })
    expect(half).toEqual([{ from: local('2026-11-02T12:00'), to: local('2026-11-02T13:00') }])
  })

  it('lose the closures of the room, and none of a person', () => {
    const closures = [
      closure('2026-11-03T00:00', '2026-11-05T12:00'),
      closure('2026-11-02T00:00', '2026-11-09T00:00', 'p2'),
    ]
    const spans = openSpans({ ...room, closures }, week)
    expect(spans.map(({ from }) => localOf(from, zone))).toEqual([
      '2026-11-02T09:00',
      '2026-11-05T12:00',
      '2026-11-06T09:00',
      '2026-11-07T09:00',
      '2026-11-08T09:00',
    ])
  })

  it('of a night in which clocks change are as long as the night is', () => {
    const nights = { timeZone: zone, hours: everyDay('20:00', '04:00'), closures: [] }
    const [back] = openSpans(nights, { from: local('2026-10-24T12:00'), to: local('2026-10-25T12:00') })
    const [forward] = openSpans(nights, { from: local('2027-03-27T12:00'), to: local('2027-03-28T12:00') })
    expect(back!.to - back!.from).toBe(9 * 60)
    expect(forward!.to - forward!.from).toBe(7 * 60)
  })

  it('are all hours of a room that has said none', () => {
    expect(openSpans({ ...room, hours: [] }, week)).toEqual([week])
  })
})

const now = '2026-11-02T08:00:00.000Z'
/** A room with a press and two people, and what a person does in it. */
function roomOf(...closures: Closure[]) {
  const states = new Map<string, StreamState>()
  let commands = 0
  const give = (type: string, stream: string, data: unknown, as: Partial<Context> = {}) => {
    const context: Context = {
      personId: 'p1',
      role: 'manager',
      commandId: `c${++commands}`,
      occurredAt: now,
      zone: 'Europe/Oslo',
      ...as,
    }
    const made = decide(states, { type, stream, data }, context)
    if ('refusal' in made) return made.refusal
    for (const event of made.events) {
      const state = states.get(event.stream) ?? emptyState(event.stream)
      const happened = { ...event, seq: state.seq + 1, actor: context.personId, occurredAt: now } as Happening
      states.set(event.stream, evolve(state, happened))
    }
    return null
  }
  states.set('calendar', { ...emptyCalendar(), timeZone: zone, hours: everyDay('09:00', '17:00'), closures })
  give('add-person', 'studio', { personId: 'p1', role: 'manager' })
  give('add-person', 'studio', { personId: 'p2', role: 'member' })
  give('set-station', 'station:slab', { name: 'Slab', kind: 'ink table', isUsed: true })
  return { give, calendar: () => states.get('calendar') as CalendarState }
}

const wish = (id: string, from: string, until: string, more: Partial<BookingSaid> = {}): BookingSaid => ({
  bookingId: id,
  placeId: 'slab',
  personId: 'p1',
  from: instantOf(local(from)),
  until: instantOf(local(until)),
  editionId: null,
  layerId: null,
  isFixed: false,
  note: '',
  ...more,
})

describe('booking', () => {
  const member = { personId: 'p2', role: 'member' } as const
  const one = wish('a', '2026-11-03T10:00', '2026-11-03T12:00')

  it('takes all of many or none', () => {
    const room = roomOf()
    const bookings = [one, wish('b', '2026-11-03T11:00', '2026-11-03T13:00')]
    expect(room.give('book', 'calendar', { bookings })?.code).toBe('taken')
    expect(room.calendar().bookings).toEqual([])
  })

  it('offers the nearest free span when it is taken', () => {
    const room = roomOf()
    room.give('book', 'calendar', { bookings: [one] })
    const refusal = room.give('book', 'calendar', { bookings: [wish('b', '2026-11-03T11:30', '2026-11-03T12:30')] })
    expect(refusal?.message).toBe(
      'It is booked already from Tuesday 3 November, 10:00 to 12:00. The nearest that is free is Tuesday 3 November, 12:00 to 13:00.',
    )
  })

  it.each([
    ['room-closed', wish('b', '2026-11-03T16:00', '2026-11-03T18:00')],
    ['ends-before', wish('b', '2026-11-03T12:00', '2026-11-03T11:00')],
    ['is-past', wish('b', '2026-11-01T10:00', '2026-11-01T11:00')],
    ['too-long', wish('b', '2026-11-03T10:00', '2026-11-05T11:00')],
    ['unknown-station', wish('b', '2026-11-03T10:00', '2026-11-03T11:00', { placeId: 'nowhere' })],
    ['unknown-person', wish('b', '2026-11-03T10:00', '2026-11-03T11:00', { personId: 'p9' })],
    ['is-away', wish('b', '2026-11-06T10:00', '2026-11-06T11:00')],
    ['room-closed', wish('b', '2026-11-04T10:00', '2026-11-04T11:00')],
  ])('is refused: %s', (code, booking) => {
    const room = roomOf(
      closure('2026-11-04T00:00', '2026-11-05T00:00'),
      closure('2026-11-06T00:00', '2026-11-07T00:00', 'p1'),
    )
    expect(room.give('book', 'calendar', { bookings: [booking] })?.code).toBe(code)
  })

  it('is for oneself, unless staff do it', () => {
    const room = roomOf()
    expect(room.give('book', 'calendar', { bookings: [one] }, member)?.code).toBe('not-theirs')
    expect(room.give('book', 'calendar', { bookings: [{ ...one, personId: 'p2' }] }, member)).toBeNull()
    const move = { bookingId: 'a', placeId: 'slab', from: one.from, until: instantOf(local('2026-11-03T13:00')) }
    expect(room.give('move-bookings', 'calendar', { moves: [move] })).toBeNull()
    room.give('book', 'calendar', { bookings: [wish('b', '2026-11-03T14:00', '2026-11-03T15:00')] })
    const other = { ...move, bookingId: 'b' }
    expect(room.give('move-bookings', 'calendar', { moves: [other] }, member)?.code).toBe('not-theirs')
    expect(room.give('cancel-bookings', 'calendar', { bookingIds: ['b'] }, member)?.code).toBe('not-theirs')
    expect(room.give('cancel-bookings', 'calendar', { bookingIds: ['a', 'a'] })?.code).toBe('unknown-booking')
    expect(room.give('cancel-bookings', 'calendar', { bookingIds: ['a'] }, member)).toBeNull()
  })

  it('lets two change places', () => {
    const room = roomOf()
    const other = wish('b', '2026-11-03T12:00', '2026-11-03T14:00')
    room.give('book', 'calendar', { bookings: [one, other] })
    const moves = [
      { bookingId: 'a', placeId: 'slab', from: other.from, until: other.until },
      { bookingId: 'b', placeId: 'slab', from: one.from, until: one.until },
    ]
    expect(room.give('move-bookings', 'calendar', { moves: moves.slice(0, 1) })?.code).toBe('taken')
    expect(room.give('move-bookings', 'calendar', { moves })).toBeNull()
    expect(room.calendar().bookings.find(({ bookingId }) => bookingId === 'a')).toMatchObject({ from: other.from })
  })

  it('leaves days of a brought calendar that are in it no more', () => {
    const room = roomOf()
    const days = (day: string) => ({ from: `${day}T00:00`, until: `${day}T23:00`, personId: null, why: 'holiday' })
    room.give('bring-closures', 'calendar', { source: 'Town', closures: [days('2026-12-25'), days('2026-12-26')] })
    room.give('close-room', 'calendar', days('2026-12-31'))
    room.give('bring-closures', 'calendar', { source: 'Town', closures: [days('2026-12-25')] })
    expect(room.calendar().closures.map(({ from }) => from)).toEqual(['2026-12-31T00:00', '2026-12-25T00:00'])
  })
})

const overlap = (a: Span, b: Span) => a.from < b.to && b.from < a.to

it('whatever is done, no place is booked twice at a time', () => {
  fc.assert(
    fc.property(fc.integer(), (seed) => {
      const { room } = play(seed, 60, 'calendar')
      const { bookings } = room.stateOf('calendar') as CalendarState
      for (const [i, one] of bookings.entries())
        for (const other of bookings.slice(i + 1))
          expect(one.placeId === other.placeId && overlap(spanOf(one), spanOf(other))).toBe(false)
      expect(new Set(bookings.map(({ bookingId }) => bookingId)).size).toBe(bookings.length)
    }),
    { numRuns: 150 },
  )
})

it('what is offered can be booked, and nothing nearer can', () => {
  const hour = fc.integer({ min: 0, max: 24 * 6 })
  const taken = fc.array(fc.tuple(hour, fc.integer({ min: 1, max: 5 })), { maxLength: 12 })
  fc.assert(
    fc.property(taken, hour, fc.integer({ min: 1, max: 6 }), (spans, at, long) => {
      const start = local('2026-11-02T12:00')
      const place = ([begins, hours]: readonly [number, number]) => ({
        from: start + begins * 60,
        to: start + (begins + hours) * 60,
      })
      const calendar: CalendarState = {
        ...emptyCalendar(),
        timeZone: zone,
        hours: everyDay('09:00', '17:00'),
        bookings: spans.map((span, i) => ({
          ...wish(String(i), '2026-11-02T00:00', '2026-11-02T00:00'),
          from: instantOf(place(span).from),
          until: instantOf(place(span).to),
          at: '',
          position: 0,
          by: 'p1',
          via: null,
        })),
      }
      const wanted = place([at, long])
      const open = openSpans(calendar, { from: start, to: start + 60 * 24 * 20 })
      const isFree = (span: Span) =>
        span.from >= minuteOf(now) &&
        open.some(({ from, to }) => from <= span.from && span.to <= to) &&
        !calendar.bookings.some((one) => overlap(spanOf(one), span))
      const found = nearestFree(calendar, { ...wanted, placeId: 'slab', personId: 'p1', now: start })
      expect(found && isFree(found)).toBe(true)
      for (let off = 30; off < Math.abs(found!.from - wanted.from); off += 30)
        for (const from of [wanted.from - off, wanted.from + off])
          expect(from >= start && isFree({ from, to: from + long * 60 })).toBe(false)
    }),
    { numRuns: 200 },
  )
})

describe('what the calendar forgets', () => {
  const bookings = () => {
    const room = roomOf()
    const at = (day: string, id: string, occurredAt: string) =>
      room.give('book', 'calendar', { bookings: [wish(id, `${day}T10:00`, `${day}T11:00`)] }, { occurredAt })
    return { ...room, at, ids: () => room.calendar().bookings.map(({ bookingId }) => bookingId) }
  }

  it('is what ended sixty days before something is booked, as the event says', () => {
    const room = bookings()
    for (const day of ['2026-11-03', '2026-11-04']) expect(room.at(day, day, '2026-11-02T08:00:00.000Z')).toBeNull()
    expect(room.at('2027-01-04', 'later', '2027-01-02T08:00:00.000Z')).toBeNull()
    expect(room.ids()).toEqual(['2026-11-03', '2026-11-04', 'later'])
    expect(room.at('2027-01-05', 'last', '2027-01-03T08:00:00.000Z')).toBeNull()
    expect(room.ids()).toEqual(['2026-11-04', 'later', 'last'])
  })

  it('is nothing by any clock: an old ledger whose tablet was a year ahead has its bookings back', () => {
    const said = (id: string, day: string) => wish(id, `${day}T10:00`, `${day}T11:00`)
    const happened = (seq: number, data: object, occurredAt: string): Happening => ({
      stream: 'calendar',
      seq,
      type: 'booked',
      version: 1,
      actor: 'p1',
      occurredAt,
      data,
    })
    const events = [
      happened(1, said('a', '2026-11-03'), now),
      happened(2, said('b', '2026-11-04'), now),
      happened(3, said('c', '2026-11-05'), '2027-12-01T08:00:00.000Z'),
      happened(4, said('d', '2026-11-06'), now),
    ]
    expect(fold(emptyCalendar(), events).bookings.map(({ bookingId }) => bookingId)).toEqual(['a', 'b', 'c', 'd'])
  })
})

describe('hours that one person may book', () => {
  it('are bounded where staff set a bound, for all but staff', () => {
    const room = roomOf()
    const settings = {
      ...studioDefaults,
      name: 'x',
      line: 'number-signature',
      destroyedNumber: 'retired',
      currency: '€',
    }
    expect(room.give('set-studio', 'studio', { ...settings, bookedHours: 3 })).toBeNull()
    const as = { personId: 'p2', role: 'member' } as const
    const book = (id: string, from: string, until: string, asker: Partial<Context> = as) =>
      room.give('book', 'calendar', { bookings: [wish(id, from, until, { personId: 'p2' })] }, asker)
    expect(book('a', '2026-11-03T10:00', '2026-11-03T12:00')).toBeNull()
    expect(book('b', '2026-11-04T10:00', '2026-11-04T12:00')).toMatchObject({
      code: 'booked-enough',
      message: expect.stringContaining('3 hours ahead at most here; with this it would be 4'),
    })
    expect(book('c', '2026-11-04T10:00', '2026-11-04T11:00')).toBeNull()
    // What is over counts no more; staff book without a bound.
    expect(
      book('d', '2026-11-05T10:00', '2026-11-05T12:00', { ...as, occurredAt: '2026-11-03T18:00:00.000Z' }),
    ).toBeNull()
    expect(book('e', '2026-11-06T10:00', '2026-11-06T16:00', {})).toBeNull()
  })
})
