import { defineStream } from '../../ground/act'
import { emptyRoomAir } from './state'

/** The air of the room by the hour, as a sensor reads it. */
export const climate = defineStream('climate', emptyRoomAir)
