import { getRequestHeader } from 'h3'
import { LiveQuery } from '#shared/queries/lists'
import type { Told } from '../live/live'
import { openStream } from '../live/streams'
import { queryChecked } from '../services/request'
import { asking } from '../services/session'

/** One stream a browser: every stored event after a position, its id the position. */
export default defineEventHandler(async (event) => {
  const { room, ...signed } = await asking(event)
  const query = queryChecked(event, LiveQuery)
  const given = Number(getRequestHeader(event, 'last-event-id') ?? query.after ?? room.ledger.position)
  const after = Number.isFinite(given) ? given : 0
  return await openStream(
    event,
    room,
    signed,
    async ({ push }) => {
      const send = (told: Told[]) => {
        for (const { position, text } of told) push('stored', text, String(position))
      }
      const head = () => String(room.ledger.position)
      let unfollow = await room.live.follow(after, send)
      while (unfollow === null) {
        // Too much was missed: the browser fetches what it shows afresh and follows from there.
        const from = room.ledger.position
        push('reload', String(from), String(from))
        unfollow = await room.live.follow(from, send)
      }
      push('beat', head())
      return unfollow
    },
    ({ push }) => push('beat', String(room.ledger.position)),
  )
})
