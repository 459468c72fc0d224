import { defineStream } from '../ground/act'
import { emptyCalendar } from './state'

/** When the room is open, and who has which place when. There is one, so that no two bookings can miss each other. */
export const calendar = defineStream('calendar', emptyCalendar)
