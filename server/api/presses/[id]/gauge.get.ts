import { openStream } from '../../../live/open-stream'
import { pressGauge } from '../../../services/press-gauge'
import { asking } from '../../../services/session'

/** What a press's gauge shows, as it shows it. Readings are no events of the ledger: only a kept setting is. */
export default defineEventHandler(async (event) => {
  const { room, ...signed } = await asking(event)
  const gauge = await pressGauge(room, getRouterParam(event, 'id') ?? '')
  return await openStream(
    event,
    room,
    signed,
    ({ push }) => gauge.follow((reading) => push('message', JSON.stringify(reading))),
    ({ push }) => push('message', JSON.stringify(gauge.reading())),
  )
})
