import type { Role } from '../ground/envelope'
import { type Refused, refuse } from '../ground/refusal'
import type { StationState } from '../station/state'
import { notTheirs } from '../stores/press/fault'
import type { PressState } from '../stores/press/state'

/** Why somebody of that role cannot book a place, or null. */
export function placeFault(press: PressState, station: StationState, role: Role): Refused | null {
  if (press.name !== '') return notTheirs(press, role)
  return station.name !== '' && station.isUsed
    ? null
    : refuse('unknown-station', 'That place is not in the room any more. See which are under Presses.', 'placeId')
}
