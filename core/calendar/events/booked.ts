import { defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { changed } from '../../ground/fold'
import { type Forgotten, withoutForgotten } from '../kept'
import type { BookingSaid } from '../state'
import { calendar } from '../stream'

/** Somebody has a place for a time. */
export const booked = defineEvent(calendar, 'booked', (state, data: BookingSaid & { forgotten?: Forgotten }, event) => {
  const { forgotten, ...said } = data
  const { closures, bookings } = withoutForgotten(state, forgotten)
  return changed(state, { closures, bookings: [...bookings, { ...said, ...whenOf(event), ...doerOf(event) }] })
})
