import type { Doer, When } from '../ground/envelope'

/** Hours in which the room is open on one day of the week, by its own clock. */
export interface Opening {
  /** 1 is Monday. */
  weekday: number
  /** `18:30`. */
  from: string
  /** `21:00`; at or before `from` it is the next morning. */
  until: string
}

export interface RoomHours {
  /** Where the room is, for its clock: `Europe/Oslo`. */
  timeZone: string
  /** Empty: always open. */
  hours: Opening[]
}

/** Days on which nobody is there, or one person is not. */
export interface ClosureSaid {
  /** By the room's clock, without a zone: `2026-12-24T00:00`. */
  from: string
  /** The end, left out. */
  until: string
  /** Who is away; null when the room is closed. */
  personId: string | null
  why: string
}

export interface Closure extends ClosureSaid, When, Doer {
  id: string
  /** The calendar it was brought in from, or empty. */
  source: string
}

/** Who has which place when, and what for. */
export interface BookingSaid {
  bookingId: string
  /** A press or another station of the room. */
  placeId: string
  personId: string
  /** ISO instants; `until` is beyond it. */
  from: string
  until: string
  editionId: string | null
  layerId: string | null
  /** Kept to its hour: no order of the day moves it. */
  isFixed: boolean
  note: string
}

export interface Booking extends BookingSaid, When, Doer {}

/** Another place or time for a booking. */
export type Move = Pick<BookingSaid, 'bookingId' | 'placeId' | 'from' | 'until'>

/** The room's hours, the days it is closed, and who has which place when. */
export interface CalendarState extends RoomHours {
  stream: string
  seq: number
  closures: Closure[]
  /** In no order; those that ended long ago are left to the ledger, as events say. */
  bookings: Booking[]
}

/** Bookings and closures that ended so many days ago are dropped from the state when something is booked or closed. */
export const daysKept = 60

export function emptyCalendar(stream = 'calendar'): CalendarState {
  return { stream, seq: 0, timeZone: 'UTC', hours: [], closures: [], bookings: [] }
}
