/** A time zone by its name, `Europe/Oslo`. */
export type Zone = string

/** True of a zone whose clock can be followed here. */
export function isZone(zone: Zone): boolean {
  try {
    return zone !== '' && new Intl.DateTimeFormat('en-GB', { timeZone: zone }).resolvedOptions().timeZone !== ''
  } catch {
    return false
  }
}

/** The zone of this machine's own clock. */
export const hereZone = (): Zone => Intl.DateTimeFormat().resolvedOptions().timeZone
