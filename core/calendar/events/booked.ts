import { defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { changed } from '../../ground/fold'
import { keptAt } from '../kept'
import type { BookingSaid } from '../state'
import { calendar } from '../stream'

/** Somebody has a place for a time. */
export const booked = defineEvent(calendar, 'booked', (state, said: BookingSaid, event) => {
  const { closures, bookings } = keptAt(state, event)
  return changed(state, { closures, bookings: [...bookings, { ...said, ...whenOf(event), ...doerOf(event) }] })
})
