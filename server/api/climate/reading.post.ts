import { asking } from '../../services/session'

/** Keep the sensor's reading of this hour now, when it is due: after it was switched on, or was silent. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  return { kept: await room.hourlyAir.look(Date.now()) }
})
