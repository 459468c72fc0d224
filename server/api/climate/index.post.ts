import { ActOnAir } from '#shared/commands/air'
import { roomSensor } from '../../devices/room-sensor'
import { readChecked } from '../../services/request'
import { asking } from '../../services/session'

/** Lend the stand-in for the room sensor a hand. */
export default defineEventHandler(async (event) => {
  await asking(event)
  const { act } = await readChecked(event, ActOnAir)
  roomSensor.standIn(act)
  return roomSensor.reading()
})
