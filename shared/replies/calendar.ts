import type { CalendarState, Move } from '#core/calendar/state'
import type { EditionTask } from '#core/schedule/task'
import type { Racks } from '#core/timetable/racks'

/** A press or another station that can be booked. */
export interface Place {
  id: string
  name: string
  isPress: boolean
  /** Who is at it now, and since when. */
  open: { by: string; at: string } | null
}

/** An edition that is not closed, as a booking names it. */
export interface BookableEdition {
  id: string
  title: string
  due: string | null
  /** Whose it is: the artist and its printers. */
  personIds: string[]
  layers: { id: string; name: string }[]
}

/** Another order of a day's runs at a press, and what it saves. */
export interface OrderProposal {
  placeId: string
  /** Minutes of changing over as it is booked, and as it is proposed. */
  changesNow: number
  changesThen: number
  /** Minutes by which the last run is over sooner. */
  sooner: number
  /** The runs in the order proposed, what each begins with, in minutes. */
  runs: { bookingId: string; wash: number; screws: number; packing: number }[]
  moves: Move[]
  /** Change-overs of this press that the minutes were learnt from; few mean a guess. */
  learntFrom: number
}

/** The room's time: who has which place when. */
export interface CalendarReply {
  calendar: CalendarState
  places: Place[]
  racks: { id: string; name: string; slots: number; taken: number }[]
  editions: BookableEdition[]
  orders: OrderProposal[]
}

/** What is to be done for every edition that is not closed, to be placed by the browser. */
export interface TimetableReply {
  /** When it was drawn up, ISO. */
  at: string
  calendar: CalendarState
  tasks: EditionTask[]
  editions: { id: string; title: string; due: string | null; prints: number; personIds: string[] }[]
  presses: { id: string; name: string }[]
  /** Pieces all racks hold, none where no rack is described, and what lies there until it can be stacked. */
  racks: Racks
}
