import { openStream } from '../../live/open-stream'
import { asking } from '../../services/session'

/** What the scale shows, as it shows it. Readings are no events of the ledger: only an accepted weight is. */
export default defineEventHandler(async (event) => {
  const { room, ...signed } = await asking(event)
  return await openStream(
    event,
    room,
    signed,
    ({ push }) => room.devices.scale.follow((reading) => push('message', JSON.stringify(reading))),
    ({ push }) => push('message', JSON.stringify(room.devices.scale.reading())),
  )
})
