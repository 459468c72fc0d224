import type { Racks } from './racks'
import type { Span } from './spans'

/** Something before which another must be over: so many minutes of any hour lie between, drying for instance. */
export interface Before {
  taskId: string
  /** Minutes by the clock, open or not. */
  lag: number
  /** It ought to begin within so many minutes after the other is over, as before a film of ink has hardened; null at any time. */
  within: number | null
}

/** One thing to be done without a break, at what it needs. */
export interface Task {
  id: string
  /** Whose it is: a task that is late makes its edition late. */
  editionId: string
  minutes: number
  /** What nobody else can use meanwhile: presses, people. */
  resources: readonly string[]
  after: readonly Before[]
  /** When it is to be over, or null. */
  due: number | null
  /** It cannot begin before, or null: what is drying already. */
  notBefore: number | null
  /** It ought to begin by then, or null: a film that hardens since before. */
  beginBy: number | null
  /** It is booked and begins then, whatever comes before it; null for what is free to be placed. */
  at: number | null
  /** Sheets it lays in the racks, and minutes by the clock until they are dry; 0 of what lays none. */
  sheets: number
  dries: number
}

/** When the room, and each thing in it, can be used: already without closures and fixed bookings. */
export interface Calendar {
  /** Minutes since one moment. Nothing begins before it. */
  now: number
  /** The room's open hours, in order, apart. */
  open: readonly Span[]
  /** Spans in which a resource is taken, bookings that are never moved. */
  taken: ReadonlyMap<string, readonly Span[]>
  racks: Racks
}

/** When a task is done. */
export interface Placed extends Span {
  taskId: string
}

/** A plan of tasks: what was placed, and what fits nowhere. */
export interface Timetable {
  placed: Placed[]
  /** Ids of tasks for which no open hours are left. */
  unplaced: string[]
}
