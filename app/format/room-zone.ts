import { shallowRef } from 'vue'
import { hereZone, type Zone } from '#core/time/zone'

/** Whose clock and calendar every day and hour on screen goes by: the room's, wherever the reader is. */
export const roomZone = shallowRef<Zone>(hereZone())

/** @param zone as the server says it with who is here */
export function keepRoomZone(zone: Zone): void {
  roomZone.value = zone
}
