import { type Refused, refuse } from '../ground/refusal'
import { isStaff } from '../ground/who'
import type { StudioState } from '../stores/studio/state'

/** Somebody who is not in the room any more, or null when all are. */
export function unknownPerson({ people }: StudioState, ids: readonly string[], field: string): Refused | null {
  return ids.every((id) => people[id]?.active)
    ? null
    : refuse('unknown-person', 'One of them is not in the pressroom any more. Reload the page.', field)
}

/** Why they cannot teach, or null. */
export function notTeaching(room: StudioState, ids: readonly string[]): Refused | null {
  return (
    unknownPerson(room, ids, 'instructorIds') ??
    (ids.every((id) => isStaff(room.people[id]!.role))
      ? null
      : refuse('not-staff', 'An instructor or the manager teaches a class; choose one of them.', 'instructorIds'))
  )
}
