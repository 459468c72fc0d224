import { defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { changed } from '../../ground/fold'
import type { AsLeft } from '../state'
import { station } from '../stream'

export type Closing = Omit<AsLeft, 'at' | 'position' | 'by' | 'via'>

/** A session ended, in whatever way. */
export const sessionClosed = defineEvent(station, 'session-closed', (state, data: Closing, event) =>
  state.open === null
    ? state
    : changed(state, {
        open: null,
        last: { ...state.open, left: { ...data, ...whenOf(event), ...doerOf(event) } },
      }),
)
