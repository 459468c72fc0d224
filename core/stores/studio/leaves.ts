import type { Doer, When } from '../../ground/envelope'

/** What a person is shown once and may then do for good: use a press, use solvents. */
export type Use = 'press' | 'solvents'
export const uses: readonly Use[] = ['press', 'solvents']

/** That somebody may do it, as staff said. */
export interface Leave extends When, Doer {
  id: string
  personId: string
  use: Use
  /** Which press; null for solvents. */
  pressId: string | null
  note: string
}

export type LeaveFor = Pick<Leave, 'personId' | 'use' | 'pressId'>

interface Leaves {
  leaves: readonly Leave[]
}

/** The leave a person has for it, if any. */
export function leaveOf({ leaves }: Leaves, { personId, use, pressId }: LeaveFor): Leave | undefined {
  return leaves.find((leave) => leave.personId === personId && leave.use === use && leave.pressId === pressId)
}
