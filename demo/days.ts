import { dayOf, type RoomDay } from '#core/time/room-day'
import { hereZone } from '#core/time/zone'

/** The invented room stands where this machine does. */
export const demoZone = hereZone()

/** The day of a moment there. @param at ms since 1970 */
export const demoDay = (at: number): RoomDay => dayOf(at, demoZone)
