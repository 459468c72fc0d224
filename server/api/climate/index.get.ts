import { openStream } from '../../live/open-stream'
import { asking } from '../../services/session'

/** What the room sensor shows, as it shows it. Only the reading of each hour is kept. */
export default defineEventHandler(async (event) => {
  const { room, ...signed } = await asking(event)
  return await openStream(
    event,
    room,
    signed,
    ({ push }) => room.devices.sensor.follow((reading) => push('message', JSON.stringify(reading))),
    ({ push }) => push('message', JSON.stringify(room.devices.sensor.reading())),
  )
})
