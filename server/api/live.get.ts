import { createEventStream, getRequestHeader } from 'h3'
import { LiveQuery } from '#shared/queries/lists'
import type { Told } from '../live/live'
import { asking, queryChecked, signedIn } from '../services/request'

const heartbeatEvery = 15_000

/** One stream a tab: every stored event after a position, its id the position, until the session ends. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const query = queryChecked(event, LiveQuery)
  const after = Number(getRequestHeader(event, 'last-event-id') ?? query.after ?? room.ledger.head)
  const stream = createEventStream(event)
  const push = (name: string, data: string, id?: string) => stream.push({ event: name, data, id })
  const heartbeat = setInterval(() => {
    void signedIn(event, room).then((person) => (person ? push('beat', String(room.ledger.head)) : stream.close()))
  }, heartbeatEvery)
  const forget = room.live.onClose(() => void stream.close())
  let unfollow: (() => void) | null = null
  stream.onClosed(async () => {
    clearInterval(heartbeat)
    forget()
    unfollow?.()
  })
  const send = (told: Told[]) => {
    for (const { position, text } of told) void push('stored', text, String(position))
  }
  const follow = async () => {
    unfollow = await room.live.follow(Number.isFinite(after) ? after : 0, send)
    if (unfollow === null) {
      // Too much was missed: the tab fetches what it shows afresh and follows from there.
      await push('reload', String(room.ledger.head), String(room.ledger.head))
      unfollow = await room.live.follow(room.ledger.head, send)
    }
    await push('beat', String(room.ledger.head))
  }
  void follow()
  return stream.send()
})
