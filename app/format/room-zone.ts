import { shallowRef } from 'vue'
import { hereZone, type Zone } from '#core/time/zone'

/** Whose clock and calendar every day and hour on screen goes by: the room's, wherever the reader is. */
export const roomZone = shallowRef<Zone>(hereZone())

/** @param zone as the server says it with who is here */
export function keepRoomZone(zone: Zone): void {
  roomZone.value = zone
}

/** How far the server's clock is ahead of this device's, ms; 0 where they differ by less than a minute. */
let ahead = 0

/** @param now the server's time, as it was said just now; ms since 1970 */
export function keepRoomTime(now: number): void {
  const difference = now - Date.now()
  ahead = Math.abs(difference) < 60_000 ? 0 : difference
}

/** The time in the room, ms since 1970: a tablet whose clock is a day off still writes today's day. */
export const roomNow = (): number => Date.now() + ahead
