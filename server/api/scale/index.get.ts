import { createEventStream } from 'h3'
import { scale } from '../../devices/scale'
import { asking } from '../../services/request'

/** What the scale shows, as it shows it. Readings are no events of the ledger: only an accepted weight is. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const stream = createEventStream(event)
  const forget = room.live.onClose(() => void stream.close())
  let unfollow = () => {}
  stream.onClosed(async () => {
    forget()
    unfollow()
  })
  unfollow = scale.follow((reading) => void stream.push(JSON.stringify(reading)))
  return stream.send()
})
