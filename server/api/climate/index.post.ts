import { ActOnAir } from '#shared/commands/air'
import { readChecked } from '../../services/request'
import { asking } from '../../services/session'

/** Lend the stand-in for the room sensor a hand. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const { act } = await readChecked(event, ActOnAir)
  const { sensor } = room.devices
  sensor.standIn(act)
  return sensor.reading()
})
