import { getRequestHeader } from 'h3'
import { LiveQuery } from '#shared/queries/lists'
import { openStream } from '../live/open-stream'
import { Teller } from '../live/teller'
import { queryChecked } from '../services/request'
import { asking } from '../services/session'
import { viewerOf } from '../services/viewer'

/** One stream a browser: every stored event after a position as its person sees it, its id the position. */
export default defineEventHandler(async (event) => {
  const { room, ...signed } = await asking(event)
  const query = queryChecked(event, LiveQuery)
  const given = Number(getRequestHeader(event, 'last-event-id') ?? query.after ?? room.ledger.position)
  const after = Number.isFinite(given) ? given : 0
  const viewer = viewerOf(signed.person)
  const beatOf = () => ({ lineage: room.lineage.id, personId: viewer.personId })
  let teller: Teller | null = null
  return await openStream(
    event,
    room,
    signed,
    async ({ push }) => {
      teller = new Teller(push, beatOf)
      // Said first: a browser that is of another ledger, or another person's, makes nothing of what follows.
      teller.beat()
      const follow = async (from: number) => {
        const unfollow = await room.live.follow(from, viewer, (told) => teller!.tell(told))
        if (unfollow) return unfollow
        teller!.reload(room.ledger.position)
        return null
      }
      // From beyond the end: that browser has seen another ledger than this.
      if (after > room.ledger.position) teller.reload(room.ledger.position)
      let unfollow = await follow(Math.min(after, room.ledger.position))
      // Too much was missed: the browser fetches what it shows afresh and follows from there.
      while (unfollow === null) unfollow = await follow(room.ledger.position)
      teller.beat()
      return unfollow
    },
    () => teller?.beat(),
  )
})
