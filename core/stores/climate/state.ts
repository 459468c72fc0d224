import type { Climate } from '../../drying/moments'

/** Temperature and humidity at one moment. */
export interface Reading extends Climate {
  /** ISO time. */
  at: string
}

export interface RoomAirState {
  stream: string
  seq: number
  /** Who switched the sensor on, in whose name it reads; null while it is off. */
  watchedBy: string | null
  /** By the hour, oldest first: three weeks of them. */
  readings: Reading[]
}

export const keptReadings = 24 * 21

export function emptyRoomAir(stream: string): RoomAirState {
  return { stream, seq: 0, watchedBy: null, readings: [] }
}

/** A sensor that has said nothing for so long is silent: its hour has passed twice. ms. */
const silentAfter = 2 * 3600_000

/** How long a sensor that is switched on has been silent, ms; 0 while it is heard or off. */
export function silentFor({ watchedBy, readings }: Pick<RoomAirState, 'watchedBy' | 'readings'>, now: number): number {
  const last = readings.at(-1)
  if (watchedBy === null || !last) return 0
  const since = now - Date.parse(last.at)
  return since > silentAfter ? since : 0
}

/** True when an hour has begun that has no reading yet. */
export function isHourDue({ watchedBy, readings }: RoomAirState, now: number): boolean {
  if (watchedBy === null) return false
  const last = readings.at(-1)
  return !last || Math.floor(Date.parse(last.at) / 3600_000) < Math.floor(now / 3600_000)
}
