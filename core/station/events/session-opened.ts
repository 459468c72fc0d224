import { defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { changed } from '../../ground/fold'
import type { AsFound } from '../state'
import { station } from '../stream'

/** Somebody took the place over, as it was found. */
export const sessionOpened = defineEvent(
  station,
  'session-opened',
  (state, { sessionId, ...found }: AsFound & { sessionId: string }, event) =>
    changed(state, { open: { id: sessionId, found, ...whenOf(event), ...doerOf(event) } }),
)
