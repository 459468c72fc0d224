import { defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { changed } from '../../ground/fold'
import { type AsLeft, type LastUse, type Used, usesKept } from '../state'
import { station } from '../stream'

export type Closing = Omit<AsLeft, 'at' | 'position' | 'by' | 'via'>

/** A session ended, in whatever way. */
export const sessionClosed = defineEvent(station, 'session-closed', (state, data: Closing, event) =>
  state.open === null
    ? state
    : changed(state, {
        open: null,
        last: { ...state.open, left: { ...data, ...whenOf(event), ...doerOf(event) } },
        // The use is its session's person's, whoever closed it.
        uses: usedNow(state.uses, data.used, { ...whenOf(event), by: state.open.by, via: state.open.via }),
      }),
)

function usedNow(before: readonly LastUse[], { rollerIds, batchIds }: Used, by: Omit<LastUse, 'id'>): LastUse[] {
  const now = [...rollerIds, ...batchIds].map((id) => ({ id, ...by }))
  return [...now, ...before.filter(({ id }) => !now.some((one) => one.id === id))].slice(0, usesKept)
}
