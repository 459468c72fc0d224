import { IsBoolean, IsInt, Length, Max, Min } from 'class-validator'
import { Id, OrNull, Parts, Words } from '../ground/shape'
import { IsMoment, IsRoomTime, IsTimeOfDay } from '../ground/written'
import type { Doer, When } from '../ground/envelope'

/** As many bookings at once as a timetable of a busy term proposes. */
export const mostBookings = 500

/** Hours in which the room is open on one day of the week, by its own clock. */
export class Opening {
  /** 1 is Monday. */
  @IsInt() @Min(1) @Max(7) weekday!: number
  /** `18:30`. */
  @IsTimeOfDay() from!: string
  /** `21:00`; at or before `from` it is the next morning. */
  @IsTimeOfDay() until!: string
}

export class RoomHours {
  static readonly sample: RoomHours = { timeZone: 'UTC', hours: [{ weekday: 1, from: '09:00', until: '21:00' }] }

  /** Where the room is, for its clock: `Europe/Oslo`. */
  @Length(1, 64) timeZone!: string
  /** Empty: always open. */
  @Parts(() => Opening, 42) hours!: Opening[]
}

/** Days on which nobody is there, or one person is not. */
export class ClosureSaid {
  static readonly sample: ClosureSaid = {
    from: '2026-12-24T00:00',
    until: '2026-12-27T00:00',
    personId: null,
    why: 'the holidays',
  }

  /** By the room's clock, without a zone: `2026-12-24T00:00`. */
  @IsRoomTime() from!: string
  /** The end, left out. */
  @IsRoomTime() until!: string
  /** Who is away; null when the room is closed. */
  @OrNull() @Id('person') personId!: string | null
  @Words(200) why!: string
}

export interface Closure extends ClosureSaid, When, Doer {
  id: string
  /** The calendar it was brought in from, or empty. */
  source: string
}

/** Another place or time for a booking. */
export class Move {
  @Id('booking') bookingId!: string
  /** A press or another station of the room. */
  @Id('place') placeId!: string
  /** ISO instants; `until` is beyond it. */
  @IsMoment() from!: string
  @IsMoment() until!: string
}

/** Who has which place when, and what for. */
export class BookingSaid extends Move {
  @Id('person') personId!: string
  @OrNull() @Id('edition') editionId!: string | null
  @OrNull() @Id('layer') layerId!: string | null
  /** Kept to its hour: no order of the day moves it. */
  @IsBoolean() isFixed!: boolean
  @Words(300) note!: string
}

export interface Booking extends BookingSaid, When, Doer {}

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
